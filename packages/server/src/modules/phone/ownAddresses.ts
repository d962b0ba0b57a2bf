import { networkInterfaces } from 'node:os';

/** The addresses of this machine in its networks (IPv4, which people can type); loopback where it is in none. */
export function listOwnAddresses(): string[] {
  const own = Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
  return own.length ? [...new Set(own)] : ['127.0.0.1'];
}

/** Whether a Host header names this machine by its address: names can be made to lead here by others. */
export function isOwnHost(host: string): boolean {
  const name = host.replace(/:\d+$/, '');
  return name === '127.0.0.1' || listOwnAddresses().includes(name);
}
