import { LIGHT } from '@icy-ribbon/core/flow/look';
import { float, noiseFunction } from './composeShader.ts';

/** Lights the composed picture as core's \`flow/look/picture\` does: slopes, a lamp, a soft box in the gloss. */
export const lightShader = `#version 300 es
precision highp float;
precision highp int;
in vec2 place;
out vec4 lit;
uniform sampler2D composedPicture;
uniform sampler2D noise;
uniform vec2 face;
uniform float pixelM;
uniform int isRound;
${noiseFunction}

float surfaceAt(ivec2 at, ivec2 size) {
  return texelFetch(composedPicture, clamp(at, ivec2(0), size - 1), 0).a;
}

/** The surface settled by 1-4-6-4-1, for pixels that hold the settled slope. */
void main() {
  if (isRound == 1 && length((place - 0.5) * face) > 0.5 * face.x) { lit = vec4(0.0); return; }
  ivec2 size = textureSize(composedPicture, 0);
  ivec2 at = ivec2(gl_FragCoord.xy);
  float binomial[5] = float[5](1.0, 4.0, 6.0, 4.0, 1.0);
  float slope[7] = float[7](-1.0, -4.0, -5.0, 0.0, 5.0, 4.0, 1.0);
  float gx = 0.0;
  float gy = 0.0;
  for (int j = -2; j <= 2; j++) {
    for (int i = -3; i <= 3; i++) {
      float w = binomial[j + 2] / 16.0 * slope[i + 3] / 32.0;
      gx += w * surfaceAt(at + ivec2(i, j), size);
      // Rows of the canvas are counted from below.
      gy -= w * surfaceAt(at + ivec2(j, i), size);
    }
  }
  float middle = surfaceAt(at, size);
  float bend = 0.4 * (surfaceAt(at + ivec2(1, 0), size) + surfaceAt(at - ivec2(1, 0), size) +
    surfaceAt(at + ivec2(0, 1), size) + surfaceAt(at - ivec2(0, 1), size) - 4.0 * middle) / (pixelM * pixelM);
  vec2 spot = place * face / 6e-3;
  float slopeX = gx / pixelM + 0.003 * noiseAt(spot, 301);
  float slopeY = gy / pixelM + 0.003 * noiseAt(spot, 302);
  vec3 normal = normalize(vec3(-slopeX, -slopeY, 1.0));
  vec3 lamp = vec3(${LIGHT.lamp.map(float).join(', ')});
  float facing = max(0.0, dot(normal, lamp)) / lamp.z;
  float shade = (${float(LIGHT.ambient)} + ${float(1 - LIGHT.ambient)} * facing) * (1.0 - clamp(4e-4 * bend, -0.12, 0.2));
  float back = 2.0 * normal.z * normal.z - 1.0;
  vec2 view = 2.0 * normal.z * normal.xy / back;
  vec2 box = smoothstep(vec2(${float(LIGHT.boxWidth)}), vec2(${float(0.45 * LIGHT.boxWidth)}),
    abs(view - vec2(${float(LIGHT.boxX)}, ${float(LIGHT.boxY)})));
  float mirror = ${float(LIGHT.mirror)} + ${float(1 - LIGHT.mirror)} * pow(1.0 - max(0.0, normal.z), 5.0);
  float gloss = mirror * (0.5 * max(0.0, 0.5 - 0.9 * view.y) + ${float(LIGHT.boxLight)} * box.x * box.y);
  vec3 color = clamp(texelFetch(composedPicture, at, 0).rgb * shade * (1.0 - mirror) + gloss, 0.0, 1.0);
  vec3 coded = mix(12.92 * color, 1.055 * pow(color, vec3(1.0 / 2.4)) - 0.055, step(vec3(0.0031308), color));
  lit = vec4(coded, 1.0);
}`;
