import type { Place } from '@icy-ribbon/core/piece/plan';
import type { SupportSize } from '@icy-ribbon/core/piece/support';
import type { Shortcut } from '#shortcut/shortcuts.ts';
import type { Film } from './useFilm.ts';
import { HAND_TOOLS, type Hand, type HandTool } from './useHand.ts';

const STEP_MM = 5;
const TILT_STEP_DEG = 2;
const MOST_TILT_DEG = 60;

/** Everything in a rehearsal by keys. */
export function rehearseKeys(given: {
  readonly hand: Hand;
  readonly film: Film;
  readonly support: () => SupportSize;
  readonly playPlan: () => void;
  readonly again: () => void;
  readonly back: () => void;
  readonly stop: () => void;
  readonly toggleSlow: () => void;
  readonly wait: () => void;
  readonly spin: () => void; /** What the hand may hold; left out: everything. */
  readonly only?: readonly HandTool[];
  /** Null where there is no plan to take it into. */
  readonly take: (() => void) | null;
  readonly layAt: (at: Place) => void;
}): Shortcut[] {
  const { hand, film } = given;

  /** Arrows move the aim, or tilt the support. */
  function arrow(dx: number, dy: number, directionDeg: number): void {
    if (hand.hand.value === 'tilt') {
      const { tilt } = hand;
      if (tilt.deg === 0 || tilt.directionDeg === directionDeg) {
        tilt.deg = Math.min(MOST_TILT_DEG, tilt.deg + TILT_STEP_DEG);
        tilt.directionDeg = directionDeg;
      } else tilt.deg = Math.max(0, tilt.deg - TILT_STEP_DEG);
      hand.apply();
      return;
    }
    const { widthMm, heightMm } = given.support();
    const at = {
      x: Math.min(widthMm, Math.max(0, hand.aim.value.x + dx * STEP_MM)),
      y: Math.min(heightMm, Math.max(0, hand.aim.value.y + dy * STEP_MM)),
    };
    film.cutAtMm.value = at.y;
    hand.drawTo(at);
  }

  function act(event: KeyboardEvent): void {
    if (hand.hand.value === 'lay') {
      given.layAt(hand.aim.value);
      return;
    }
    if (event.repeat || hand.isDown.value) return;
    hand.down(hand.aim.value);
    const up = (released: KeyboardEvent) => {
      if (released.key !== event.key) return;
      window.removeEventListener('keyup', up);
      hand.up();
    };
    window.addEventListener('keyup', up);
  }
  const held = HAND_TOOLS.filter(({ name }) => given.only?.includes(name) ?? true);
  const tools = held.map(({ name, label }, index): Shortcut => ({
    keys: [String(index + 1)],
    shown: String(index + 1),
    does: label,
    run: () => {
      hand.hand.value = name;
      hand.apply();
    },
  }));
  return [
    { keys: [' '], shown: 'Space', does: 'Blow while it is held; lay, scrape', run: act },
    { keys: ['ArrowLeft'], shown: '←', does: 'Aim left, or tilt', run: () => arrow(-1, 0, 270) },
    { keys: ['ArrowRight'], shown: '→', does: 'Aim right, or tilt', run: () => arrow(1, 0, 90) },
    { keys: ['ArrowUp'], shown: '↑', does: 'Aim up, or tilt', run: () => arrow(0, -1, 0) },
    { keys: ['ArrowDown'], shown: '↓', does: 'Aim down, or tilt', run: () => arrow(0, 1, 180) },
    {
      keys: ['Home'],
      shown: 'Home',
      does: 'Level again',
      run: () => {
        hand.tilt.deg = 0;
        hand.apply();
      },
    },
    { keys: ['q'], shown: 'Q', does: 'Turn the air left', run: () => hand.turn(-15) },
    { keys: ['e'], shown: 'E', does: 'Turn the air right', run: () => hand.turn(15) },
    { keys: ['PageUp'], shown: 'Page up', does: 'Farther off', run: () => hand.changeDistance(10) },
    { keys: ['PageDown'], shown: 'Page down', does: 'Nearer', run: () => hand.changeDistance(-10) },
    { keys: [','], shown: ',', does: 'Flatter', run: () => hand.changeSlant(-5) },
    { keys: ['.'], shown: '.', does: 'Steeper', run: () => hand.changeSlant(5) },
    ...tools,
    { keys: ['b'], shown: 'B', does: 'Blow its passes', run: given.playPlan },
    { keys: ['p'], shown: 'P', does: 'Pause, go on, stop', run: given.stop },
    { keys: ['s'], shown: 'S', does: 'Slower, full speed', run: given.toggleSlow },
    { keys: ['Backspace', 'z'], shown: 'Backspace', does: 'Step back', run: given.back },
    { keys: ['a'], shown: 'A', does: 'Again from the start', run: given.again },
    { keys: ['w'], shown: 'W', does: 'Wait', run: given.wait },
    { keys: ['r'], shown: 'R', does: 'Spin', run: given.spin },
    ...(given.take
      ? [{ keys: ['t'], shown: 'T', does: 'Take what was blown into the plan', run: given.take }]
      : []),
  ];
}
