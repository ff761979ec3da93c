import {
  BUCKET_M,
  pictureNoise,
  SEED_NUMBERS,
  TABLE,
  type FilmCast,
  type FilmFrame,
} from '@icy-ribbon/core/flow/look';
import {
  bindFramebufferInfo,
  createBufferInfoFromArrays,
  createFramebufferInfo,
  createProgramInfo,
  drawBufferInfo,
  resizeFramebufferInfo,
  setBuffersAndAttributes,
  setUniforms,
} from 'twgl.js';
import { composeShader, SHADER_LAYERS, vertexShader } from './composeShader.ts';
import { lightShader } from './lightShader.ts';

/** Draws frames of a film onto a canvas. */
export interface FilmPainter {
  draw(frame: FilmFrame): void;
  /** Waits until what was drawn is there. */
  finish(): void;
  dispose(): void;
}

const SEEDS_ACROSS = 768;

/**
 * A painter on the graphics processor.
 *
 * @returns null where the browser cannot draw with floating-point textures: draw core's standing picture instead
 */
export function filmPainter(canvas: OffscreenCanvas, cast: FilmCast, isRound: boolean): FilmPainter | null {
  const gl = canvas.getContext('webgl2', { antialias: false, alpha: true, preserveDrawingBuffer: true });
  if (!gl || cast.layers.length > SHADER_LAYERS) return null;
  if (!gl.getExtension('EXT_color_buffer_float') || !gl.getExtension('OES_texture_float_linear')) return null;
  const compose = createProgramInfo(gl, [vertexShader, composeShader]);
  const light = createProgramInfo(gl, [vertexShader, lightShader]);
  if (!compose.program || !light.program) return null;
  let squares: readonly [number, number] = [1, 1];
  const square = createBufferInfoFromArrays(gl, {
    position: { numComponents: 2, data: [-1, -1, 1, -1, -1, 1, 1, 1] },
  });
  const attachments = [
    { internalFormat: gl.RGBA32F, format: gl.RGBA, type: gl.FLOAT, min: gl.NEAREST, mag: gl.NEAREST },
  ];
  const inner = createFramebufferInfo(gl, attachments, canvas.width, canvas.height);
  const noise = noiseTexture(gl);
  const fields = gl.createTexture();
  const seeds = gl.createTexture();
  const buckets = gl.createTexture();
  const padded = <Value>(values: readonly Value[], rest: Value): Value[] => [
    ...values,
    ...Array.from({ length: SHADER_LAYERS - values.length }, () => rest),
  ];
  const constant = {
    layers: cast.layers.length,
    sheet: cast.sheet,
    netM: cast.netM,
    colors: padded(
      cast.layers.map(({ rgb }) => rgb),
      [0, 0, 0] as const,
    ).flat(),
    depths: padded(
      cast.layers.map(({ depthM }) => depthM),
      1,
    ),
    veined: padded(
      cast.layers.map(({ isVeined }) => (isVeined ? 1 : 0)),
      0,
    ),
    support: cast.support,
    squareM: BUCKET_M,
    seedsAcross: SEEDS_ACROSS,
    isRound: isRound ? 1 : 0,
  };

  return {
    draw(frame) {
      const { stride, rows, columns, cellM, numbers } = frame;
      const high = rows + 4;
      const count = numbers.length / (stride * high);
      gl.bindTexture(gl.TEXTURE_2D_ARRAY, fields);
      gl.texImage3D(...[gl.TEXTURE_2D_ARRAY, 0, gl.R32F, stride, high, count, 0, gl.RED, gl.FLOAT, numbers]);
      clampLinear(gl, gl.TEXTURE_2D_ARRAY);
      if (frame.seeds) {
        const packed = frame.seeds.numbers.length / SEED_NUMBERS;
        const tall = Math.max(1, Math.ceil((3 * packed) / SEEDS_ACROSS));
        const data = new Float32Array(4 * SEEDS_ACROSS * tall);
        data.set(frame.seeds.numbers);
        floatTexture(gl, seeds, gl.RGBA32F, gl.RGBA, SEEDS_ACROSS, tall, data);
        const { across, down } = frame.seeds;
        floatTexture(gl, buckets, gl.RG32F, gl.RG, across, down, frame.seeds.buckets);
        squares = [across, down];
      }
      if (inner.width !== canvas.width || inner.height !== canvas.height) {
        resizeFramebufferInfo(gl, inner, attachments, canvas.width, canvas.height);
      }
      const face = [columns * cellM, rows * cellM];
      const pixelM = (columns * cellM) / canvas.width;
      gl.useProgram(compose.program);
      bindFramebufferInfo(gl, inner);
      setBuffersAndAttributes(gl, compose, square);
      setUniforms(compose, {
        ...constant,
        ...{ fields, noise, seeds, buckets, face, cellM, pixelM, squares, texels: [stride, high] },
      });
      drawBufferInfo(gl, square, gl.TRIANGLE_STRIP);
      gl.useProgram(light.program);
      bindFramebufferInfo(gl, null);
      setBuffersAndAttributes(gl, light, square);
      setUniforms(light, {
        ...{ composedPicture: inner.attachments[0], noise, face, pixelM, isRound: constant.isRound },
      });
      drawBufferInfo(gl, square, gl.TRIANGLE_STRIP);
    },
    finish() {
      gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
    },
    dispose() {
      for (const texture of [noise, fields, seeds, buckets, inner.attachments[0] as WebGLTexture]) {
        gl.deleteTexture(texture);
      }
      gl.deleteFramebuffer(inner.framebuffer);
      gl.deleteProgram(compose.program);
      gl.deleteProgram(light.program);
    },
  };
}

function clampLinear(gl: WebGL2RenderingContext, target: number): void {
  gl.texParameteri(target, gl.TEXTURE_MIN_FILTER, gl.LINEAR);
  gl.texParameteri(target, gl.TEXTURE_MAG_FILTER, gl.LINEAR);
  gl.texParameteri(target, gl.TEXTURE_WRAP_S, gl.CLAMP_TO_EDGE);
  gl.texParameteri(target, gl.TEXTURE_WRAP_T, gl.CLAMP_TO_EDGE);
}

function floatTexture(
  gl: WebGL2RenderingContext,
  texture: WebGLTexture | null,
  inside: number,
  format: number,
  width: number,
  height: number,
  data: Float32Array,
): void {
  gl.bindTexture(gl.TEXTURE_2D, texture);
  gl.texImage2D(gl.TEXTURE_2D, 0, inside, width, height, 0, format, gl.FLOAT, data);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.NEAREST);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MAG_FILTER, gl.NEAREST);
}

function noiseTexture(gl: WebGL2RenderingContext): WebGLTexture | null {
  const texture = gl.createTexture();
  gl.bindTexture(gl.TEXTURE_2D, texture);
  gl.texImage2D(gl.TEXTURE_2D, 0, gl.RGBA16F, TABLE, TABLE, 0, gl.RGBA, gl.FLOAT, pictureNoise());
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MIN_FILTER, gl.LINEAR);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_MAG_FILTER, gl.LINEAR);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_S, gl.REPEAT);
  gl.texParameteri(gl.TEXTURE_2D, gl.TEXTURE_WRAP_T, gl.REPEAT);
  return texture;
}
