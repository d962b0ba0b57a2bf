import { useEffect } from 'react';

let audio: AudioContext | null = null;

/** One stroke of the bell. Browsers allow sound only after the page was touched; until then this does nothing. */
export function strikeBell(volume: number): void {
  audio ??= new AudioContext();
  if (audio.state === 'suspended') void audio.resume();
  const gain = audio.createGain();
  gain.gain.setValueAtTime(volume, audio.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.9);
  gain.connect(audio.destination);
  for (const hertz of [880, 1320]) {
    const tone = audio.createOscillator();
    tone.frequency.value = hertz;
    tone.connect(gain);
    tone.start();
    tone.stop(audio.currentTime + 0.9);
  }
}

/** Rings every two seconds while something is due. */
export function useBell(isDue: boolean): void {
  useEffect(() => {
    if (!isDue) return;
    strikeBell(0.5);
    const ringing = setInterval(() => strikeBell(0.5), 2000);
    return () => clearInterval(ringing);
  }, [isDue]);
}
