import { airTool, bearingOf, normalizeDeg, settingsOf, type AirTool } from '@icy-ribbon/core/flow/air';
import type { AirPass, Place } from '@icy-ribbon/core/piece/plan';
import { NO_PUSH, rehearsedSpeed, type Push } from '@icy-ribbon/core/piece/rehearse';
import { computed, reactive, ref, shallowRef } from 'vue';
import type { Film } from './useFilm.ts';

/** What the hand holds. */
export const HAND_TOOLS = [
  { name: 'blow', label: 'Air' },
  { name: 'skewer', label: 'Skewer' },
  { name: 'scrape', label: 'Scrape' },
  { name: 'lay', label: 'Lay' },
  { name: 'torch', label: 'Torch' },
  { name: 'tilt', label: 'Tilt' },
] as const;
export type HandTool = (typeof HAND_TOOLS)[number]['name'];

/** What was blown freely: one press of the hand. */
export interface BlownStroke extends AirPass {
  readonly at: Place;
  readonly to: Place;
}

/** How the air is held. */
export interface Hold {
  tool: AirTool;
  setting: string;
  distanceMm: number;
  slantDeg: number;
  directionDeg: number;
  /** It begins soft and near and ends strong and far. */
  swells: boolean;
}

const NEAREST_MM = 20;
const FARTHEST_MM = 900;
/** A breath that swells does so in so long, s, out to so many times its distance. */
const SWELL_S = 1.5;
const SWELL_FAR = 1.6;
/** The way the hand is drawn counts over so far, mm. */
const HEED_MM = 6;
/** Drawn this fast, mm a second, the air lies flat; held still it is as steep as it was set. */
const FLAT_AT_MM_S = 140;
const FLATTEST_DEG = 18;

/** Pointer and keys become air and other pushes; what was blown is remembered as strokes. */
export function useHand(
  film: Film,
  exit: (tool: AirTool) => { exitSpeedMS: number; exitDiameterMm: number },
) {
  const hand = ref<HandTool>('blow');
  const hold = reactive<Hold>({
    tool: 'mouth',
    setting: 'steady',
    distanceMm: 100,
    slantDeg: 25,
    directionDeg: 0,
    swells: true,
  });
  const aim = shallowRef<Place>({ x: 0, y: 0 });
  const isDown = ref(false);
  const strength = ref(2);
  const blown = shallowRef<readonly BlownStroke[]>([]);
  const tilt = reactive({ deg: 0, directionDeg: 180 });
  let began: { at: Place; sumSlant: number; count: number; ms: number } | null = null;
  let heeded: Place = { x: 0, y: 0 };
  let moved: { at: Place; ms: number } = { at: { x: 0, y: 0 }, ms: 0 };
  let drawnSlant = 0;

  const setting = computed(() => settingsOf(hold.tool));

  function take(tool: AirTool): void {
    const usual = airTool(tool);
    hold.tool = tool;
    hold.distanceMm = usual.distanceMm;
    hold.setting = setting.value.includes('steady') ? 'steady' : setting.value[0]!;
    hold.swells = usual.power === 'breath';
  }

  const swell = () => {
    if (!hold.swells || !began) return 0;
    return Math.min(1, (performance.now() - began.ms) / 1000 / SWELL_S);
  };

  function airNow(): Push {
    const { exitSpeedMS, exitDiameterMm } = exit(hold.tool);
    const settings = setting.value;
    const grown = swell();
    const soft = rehearsedSpeed(
      hold.tool,
      hold.swells ? settings[0]! : hold.setting,
      exitSpeedMS,
      strength.value,
    );
    const hard = rehearsedSpeed(
      hold.tool,
      hold.swells ? settings.at(-1)! : hold.setting,
      exitSpeedMS,
      strength.value,
    );
    return {
      ...NO_PUSH,
      tilt: tiltNow(),
      air: {
        exitSpeedMS: soft + grown * (hard - soft),
        exitDiameterMm,
        distanceMm: hold.distanceMm * (1 + grown * (SWELL_FAR - 1)),
        slantDeg: drawnSlant || hold.slantDeg,
        directionDeg: hold.directionDeg,
        xMm: aim.value.x,
        yMm: aim.value.y,
      },
    };
  }

  const tiltNow = () => (tilt.deg > 0 ? { deg: tilt.deg, directionDeg: tilt.directionDeg } : null);

  function apply(): void {
    if (isDown.value && hand.value === 'blow') film.setPush(airNow());
    else film.setPush({ ...NO_PUSH, tilt: tiltNow() });
  }

  /** The hand comes down at a place. */
  function down(at: Place, outward: number | null = null): void {
    aim.value = at;
    heeded = at;
    moved = { at, ms: performance.now() };
    isDown.value = true;
    if (outward !== null) hold.directionDeg = outward;
    drawnSlant = 0;
    if (hand.value === 'blow') {
      began = { at, sumSlant: 0, count: 0, ms: performance.now() };
      film.halt();
    }
    if (hand.value === 'scrape') void film.scrape(at, SCRAPER_MM);
    if (hand.value === 'torch') void film.torch(at);
    apply();
  }

  /** The hand is drawn on; the way it goes is the way the air goes. */
  function drawTo(at: Place): void {
    const now = performance.now();
    const [dx, dy] = [at.x - heeded.x, at.y - heeded.y];
    const seconds = Math.max(0.008, (now - moved.ms) / 1000);
    const fast = Math.hypot(at.x - moved.at.x, at.y - moved.at.y) / seconds;
    aim.value = at;
    if (isDown.value && hand.value === 'blow') {
      if (Math.hypot(dx, dy) > HEED_MM) {
        hold.directionDeg = bearingOf(dx, dy);
        heeded = at;
      }
      const flat = Math.min(1, fast / FLAT_AT_MM_S);
      const wanted = hold.slantDeg + flat * (Math.min(FLATTEST_DEG, hold.slantDeg) - hold.slantDeg);
      drawnSlant = 0.8 * (drawnSlant || hold.slantDeg) + 0.2 * wanted;
      if (began) {
        began.sumSlant += drawnSlant;
        began.count += 1;
      }
      apply();
    } else if (isDown.value && hand.value === 'skewer') {
      const speed = { x: (at.x - moved.at.x) / seconds, y: (at.y - moved.at.y) / seconds };
      film.setPush({ ...NO_PUSH, tilt: tiltNow(), skewer: { at, speed } });
    } else if (isDown.value && hand.value === 'scrape' && Math.hypot(dx, dy) > SCRAPER_MM / 2) {
      heeded = at;
      void film.scrape(at, SCRAPER_MM);
    } else if (isDown.value && hand.value === 'torch' && Math.hypot(dx, dy) > SCRAPER_MM) {
      heeded = at;
      void film.torch(at);
    }
    moved = { at, ms: now };
  }

  /** The hand goes up: what was blown is a stroke. */
  function up(): void {
    if (!isDown.value) return;
    isDown.value = false;
    if (hand.value === 'blow' && began) {
      const settings = setting.value;
      const grown = swell();
      const seconds = (performance.now() - began.ms) / 1000;
      if (seconds > 0.1) {
        const first = hold.swells ? settings[0]! : hold.setting;
        const end = {
          distanceMm: Math.round(hold.distanceMm * (1 + grown * (SWELL_FAR - 1))),
          setting: hold.swells && grown > 0.7 ? settings.at(-1)! : first,
        };
        const distanceMm = Math.round(hold.distanceMm);
        blown.value = [
          ...blown.value,
          {
            tool: hold.tool,
            setting: first,
            at: began.at,
            to: aim.value,
            directionDeg: Math.round(hold.directionDeg),
            slantDeg: Math.round(began.count > 0 ? began.sumSlant / began.count : hold.slantDeg),
            distanceMm,
            ...((end.distanceMm !== distanceMm || end.setting !== first) && { end }),
            seconds: Math.round(10 * seconds) / 10,
          },
        ];
      }
      began = null;
    }
    apply();
  }

  const changeDistance = (byMm: number) => {
    hold.distanceMm = Math.min(FARTHEST_MM, Math.max(NEAREST_MM, hold.distanceMm + byMm));
    apply();
  };
  const changeSlant = (byDeg: number) => {
    hold.slantDeg = Math.min(90, Math.max(10, hold.slantDeg + byDeg));
    apply();
  };
  const turn = (byDeg: number) => {
    hold.directionDeg = normalizeDeg(hold.directionDeg + byDeg);
    apply();
  };

  /** Half as wide as the air lands, mm, and how far a slant draws that out. */
  const footprint = computed(() => {
    const { exitDiameterMm } = exit(hold.tool);
    const half = Math.max(0.1 * hold.distanceMm, exitDiameterMm / 2);
    return { halfMm: half, longMm: half / Math.sin((Math.max(15, hold.slantDeg) * Math.PI) / 180) };
  });

  return {
    ...{ hand, hold, aim, isDown, strength, blown, tilt, setting, footprint },
    ...{ take, down, drawTo, up, apply, changeDistance, changeSlant, turn },
    /** A swelling breath changes while it is held. */
    tick: () => {
      if (isDown.value && hand.value === 'blow') apply();
    },
    forget: () => (blown.value = []),
  };
}

/** Radius of what one touch of the scraper takes away, mm. */
export const SCRAPER_MM = 12;

export type Hand = ReturnType<typeof useHand>;
