import type { GestureId } from '@/core/schedule/movement';

interface GestureProps {
  gesture: GestureId | undefined;
  doing: 'move' | 'still' | 'pour' | 'over' | null;
}

/** What the hands do, drawn and moving; it stands still for those who asked their system for less motion. */
export function Gesture({ gesture = 'invert', doing }: GestureProps) {
  const moving = doing === 'move';
  const tips = gesture === 'invert' || gesture === 'invert-slowly' || gesture === 'rotate';
  const body =
    doing === 'pour' || doing === 'over'
      ? 'tank-pour'
      : moving && tips
        ? gesture === 'invert'
          ? 'tank-invert'
          : gesture === 'rotate'
            ? 'tank-rotate'
            : 'tank-invert-slowly'
        : '';
  return (
    <svg aria-hidden viewBox="0 0 120 120" className="h-full w-full" data-testid="gesture" data-doing={doing ?? 'none'}>
      <g className={body} style={{ transformOrigin: '60px 62px' }} fill="none" stroke="currentColor" strokeWidth="3">
        <path d="M28 40V96A32 9 0 0 0 92 96V40" />
        <path d="M24 40V32A36 10 0 0 1 96 32V40A36 10 0 0 1 24 40Z" />
        <path d="M46 24V16A14 4 0 0 1 74 16V24" />
        <g className={moving && gesture === 'lift' ? 'tank-lift' : ''} strokeWidth="2">
          <ellipse cx="60" cy="66" rx="22" ry="6" />
          <ellipse cx="60" cy="66" rx="12" ry="3.2" />
          <ellipse cx="60" cy="88" rx="22" ry="6" />
          <path d="M38 66V88M82 66V88M60 56V92" />
        </g>
        {gesture === 'twirl' && (
          <g className={moving ? 'tank-twirl' : ''} style={{ transformOrigin: '60px 14px' }}>
            <path d="M46 14H74" strokeWidth="4" />
          </g>
        )}
      </g>
      {(doing === 'pour' || doing === 'over') && (
        <path d="M96 72C100 80 104 88 104 94A7 7 0 0 1 90 94C90 88 93 80 96 72Z" fill="currentColor" />
      )}
    </svg>
  );
}
