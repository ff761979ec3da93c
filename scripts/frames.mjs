/* global requestAnimationFrame -- what is evaluated runs in the page. */
/** `npm run frames`: frame times while a stack is dragged on a plan of 12 stacks and 60 strokes. */
import { withStudio } from './studio.mjs';

const SECONDS = 4;

await withStudio(4496, async ({ address, page, idOf }) => {
  const pieceId = idOf('Door panel');
  const piece = await (await fetch(`${address}/api/pieces/${pieceId}`)).json();
  const [stack] = piece.plan.stacks;
  const [pass] = piece.plan.passes;
  const { widthMm, heightMm } = piece.support;
  const stacks = Array.from({ length: 12 }, (_, index) => ({
    ...stack,
    id: `stack ${index}`,
    footprintMm: 80,
    at: { x: (widthMm * (0.5 + (index % 3))) / 3, y: (heightMm * (0.5 + Math.floor(index / 3))) / 4 },
  }));
  const passes = stacks.flatMap((each, of) =>
    Array.from({ length: 5 }, (_, index) => ({
      ...pass,
      id: `pass ${of} ${index}`,
      at: { x: each.at.x + 14 * Math.sin(index * 1.26), y: each.at.y - 14 * Math.cos(index * 1.26) },
      directionDeg: 72 * index,
    })),
  );
  const { createdAt, updatedAt, ...plan } = piece.plan;
  void createdAt;
  void updatedAt;
  const put = await fetch(`${address}/api/pieces/${pieceId}/plan`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ ...plan, stacks, passes }),
  });
  if (!put.ok) throw new Error(await put.text());
  await page.goto(`${address}/plan/${pieceId}`);
  await page.locator('canvas').first().waitFor();
  await page.waitForTimeout(1500);

  const box = await page.locator('.konvajs-content').boundingBox();
  const scale = Math.min((box.width - 36) / widthMm, (box.height - 36) / heightMm);
  const onScreen = ({ x, y }) => ({
    x: box.x + (box.width - widthMm * scale) / 2 + x * scale,
    y: box.y + (box.height - heightMm * scale) / 2 + y * scale,
  });
  const watch = (seconds) =>
    page.evaluate(
      (time) =>
        new Promise((done) => {
          const frames = [];
          let last = performance.now();
          const end = last + time * 1000;
          const step = (now) => {
            frames.push(now - last);
            last = now;
            if (now < end) requestAnimationFrame(step);
            else done(frames.slice(1));
          };
          requestAnimationFrame(step);
        }),
      seconds,
    );
  const say = (what, frames) => {
    const sorted = [...frames].sort((a, b) => a - b);
    const at = (share) => sorted[Math.floor(share * (sorted.length - 1))].toFixed(1);
    console.log(
      `${what}: ${frames.length} frames, median ${at(0.5)} ms, 95 % below ${at(0.95)} ms, longest ${at(1)} ms`,
    );
  };
  say('nothing moves', await watch(2));
  for (const [what, from] of [
    ['a stack dragged', { x: stacks[4].at.x, y: stacks[4].at.y + 5 }],
    ['a pass dragged', { x: passes[27].at.x, y: passes[27].at.y }],
  ]) {
    const start = onScreen(from);
    await page.mouse.move(start.x, start.y);
    await page.mouse.down();
    const frames = watch(SECONDS);
    const end = Date.now() + SECONDS * 1000;
    for (let step = 0; Date.now() < end; step += 1) {
      await page.mouse.move(start.x + 60 * Math.sin(step / 12), start.y + 50 * Math.cos(step / 9));
    }
    say(what, await frames);
    await page.mouse.up();
    await page.keyboard.press('u');
    await page.waitForTimeout(600);
  }
});
