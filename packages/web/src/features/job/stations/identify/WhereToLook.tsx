import type { IdentifyFeature } from '@sardonyx/core';
import { CloseUp } from '../../CloseUp.tsx';
import { useJob } from '../../JobContext.tsx';

/** A close-up of the place, and what to look with. */
export function WhereToLook({ feature }: { readonly feature: IdentifyFeature }) {
  const { specimen } = useJob();
  const key = specimen.casting?.features.find((candidate) => candidate.id === feature.id)?.key;
  const views = specimen.casting?.casting.drawing.views ?? [];
  const view = views.find((candidate) => candidate.anchors.some((anchor) => anchor.featureKey === key));
  const anchor = view?.anchors.find((candidate) => candidate.featureKey === key);
  return (
    <div className="relative h-28 w-36 shrink-0 border border-hairline bg-paper">
      {view && anchor && <CloseUp view={view} place={anchor} label={feature.label} />}
      <svg
        aria-hidden
        viewBox="0 0 24 24"
        className="absolute right-0 bottom-0 size-10 border-t border-l border-hairline bg-sheet p-1"
      >
        <path
          d={chooseTool(feature)}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={1.8}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      </svg>
    </div>
  );
}

/** An eye, a magnifier, a torch, a lifted base, or a blade. */
function chooseTool({ effort, destroys }: IdentifyFeature): string {
  if (destroys) return 'M4 20L14 10L20 4L18 11L11 14ZM4 20L9 17';
  if (effort <= 1) return 'M2 12Q12 3 22 12Q12 21 2 12M12 9A3 3 0 1 1 11.9 9';
  if (effort <= 2) return 'M10 3A7 7 0 1 1 9.9 3M15 15L22 22';
  if (effort <= 4) return 'M3 9H9L13 5V19L9 15H3ZM16 8L21 6M16 12H22M16 16L21 18';
  return 'M2 10H22L20 4H4ZM2 20H22M12 18V13M9 15L12 12L15 15';
}
