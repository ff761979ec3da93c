import { LOOK, NET } from '@icy-ribbon/core/flow/look';

/** A number as GLSL wants it. */
export const float = (value: number): string => {
  const text = value.toPrecision(8);
  return /[.e]/.test(text) ? text : `${text}.0`;
};

/** Most layers that the shader composes. */
export const SHADER_LAYERS = 9;

export const vertexShader = `#version 300 es
in vec4 position;
out vec2 place;
void main() {
  place = vec2(0.5 + 0.5 * position.x, 0.5 - 0.5 * position.y);
  gl_Position = position;
}`;

/** The noise of core's table: texel k lies at k. */
export const noiseFunction = `
float noiseAt(vec2 at, int kind) {
  vec2 turned = (at + vec2(float(kind) * 7.31, float(kind) * 3.77)) / 32.0 + 0.5 / 512.0;
  return texture(noise, turned)[kind & 3];
}`;

/**
 * What each pixel shows before it is lit: color, and the surface in the fourth channel. Draws by the numbers and the order of core's
 * \`flow/look/compose\` and \`net\`, which say why.
 */
export const composeShader = `#version 300 es
precision highp float;
precision highp int;
precision highp sampler2DArray;
in vec2 place;
out vec4 composed;
uniform sampler2DArray fields;
uniform sampler2D noise;
uniform sampler2D seeds;
uniform sampler2D buckets;
uniform vec2 face;
uniform vec2 texels;
uniform float cellM;
uniform float pixelM;
uniform int layers;
uniform int sheet;
uniform float netM;
uniform ivec2 squares;
uniform float squareM;
uniform int seedsAcross;
uniform vec3 colors[${SHADER_LAYERS}];
uniform float depths[${SHADER_LAYERS}];
uniform int veined[${SHADER_LAYERS}];
uniform vec3 support;
${noiseFunction}

vec4 weights(float t) {
  float a = 1.0 - t;
  return vec4(a * a * a, 4.0 - 6.0 * t * t + 3.0 * t * t * t, 4.0 - 6.0 * a * a + 3.0 * a * a * a, t * t * t) / 6.0;
}

vec2 upperLeft;
vec2 lowerRight;
vec4 shares;

/** A cubic B-spline takes four looks between texels. */
void aim(vec2 at) {
  vec2 cell = at / cellM + 1.5;
  vec2 first = floor(cell);
  vec2 rest = cell - first;
  vec4 x = weights(rest.x);
  vec4 y = weights(rest.y);
  vec2 near = vec2(x.x + x.y, y.x + y.y);
  vec2 far = vec2(x.z + x.w, y.z + y.w);
  upperLeft = (first - 1.0 + vec2(x.y, y.y) / near + 0.5) / texels;
  lowerRight = (first + 1.0 + vec2(x.w, y.w) / far + 0.5) / texels;
  shares = vec4(near.x * near.y, far.x * near.y, near.x * far.y, far.x * far.y);
}

float splined(int field) {
  float layer = float(field);
  return shares.x * texture(fields, vec3(upperLeft, layer)).r +
    shares.y * texture(fields, vec3(lowerRight.x, upperLeft.y, layer)).r +
    shares.z * texture(fields, vec3(upperLeft.x, lowerRight.y, layer)).r +
    shares.w * texture(fields, vec3(lowerRight, layer)).r;
}

vec4 seedPart(int seed, int part) {
  int texel = 3 * seed + part;
  return texelFetch(seeds, ivec2(texel % seedsAcross, texel / seedsAcross), 0);
}

float hole = 0.0;
float relief = 0.0;
float ring = 0.0;
float core = 0.0;

bool netAt(vec2 at, float sheetM) {
  ivec2 square = ivec2(floor(at / squareM));
  float d1 = 9.0, d2 = 9.0, d3 = 9.0;
  int first = -1;
  for (int reach = 1; reach <= 3; reach++) {
    if (!(d2 > 8.0 || (reach < 3 && d2 > float(reach) * squareM))) break;
    d1 = 9.0; d2 = 9.0; d3 = 9.0; first = -1;
    for (int j = max(0, square.y - reach); j <= min(squares.y - 1, square.y + reach); j++) {
      for (int i = max(0, square.x - reach); i <= min(squares.x - 1, square.x + reach); i++) {
        vec2 list = texelFetch(buckets, ivec2(i, j), 0).rg;
        int start = int(list.x);
        int end = start + int(list.y);
        for (int seed = start; seed < end; seed++) {
          vec4 body = seedPart(seed, 0);
          vec4 frame = seedPart(seed, 1);
          vec2 off = at - body.xy;
          vec2 round = vec2(dot(frame.xy, off), dot(frame.zw, off));
          float d = length(round) / body.w;
          if (d < d1) { d3 = d2; d2 = d1; d1 = d; first = seed; }
          else if (d < d2) { d3 = d2; d2 = d; }
          else if (d < d3) d3 = d;
        }
      }
    }
  }
  if (first < 0 || d1 > ${float(NET.farM)} || sheetM > 1.6 * netM) return false;
  float radius = seedPart(first, 0).z;
  float kind = seedPart(first, 2).x;
  float soft = ${float(NET.round * 0.5)} * (d1 + d2);
  float gap = d2 - d1 - 0.7 * soft * log(1.0 + exp(min(40.0, (d2 - d3) / soft)));
  float wobble = 1.0 + 0.12 * noiseAt(at / ${float(NET.wobbleM)}, 77);
  float open = clamp(1.0 - sheetM / (netM * (0.7 + 0.6 * kind)), 0.0, 0.9);
  float strand = 1.0 - sqrt(open);
  float inward = min(
    0.5 * (gap - strand * (d1 + min(d2, 2.0 * d1 + 2e-3)) * wobble) - ${float(0.5 * NET.leastM)},
    0.9 * radius - d1);
  hole = clamp(0.5 + 0.8 * inward / pixelM, 0.0, 1.0);
  float rim = (max(0.0, -inward) - 1.5e-4) / 4e-4;
  relief = (1.0 - hole) * ${float(NET.reliefM)} * exp(-rim * rim);
  ring = hole * exp(-(inward / 2.2e-4) * (inward / 2.2e-4));
  if (hole > 0.0 && kind > 0.35) {
    float reach = min(radius, 0.5 * (d1 + d2) * (1.0 - strand) - ${float(2 * NET.leastM)});
    float edge = d1 * (1.0 + 0.25 * noiseAt(at / 1.1e-3, 5)) - (0.25 + 0.6 * kind) * reach;
    core = hole * clamp(0.5 - 0.8 * edge / pixelM, 0.0, 1.0);
  }
  return true;
}

void main() {
  vec2 at = place * face;
  aim(at);
  vec2 carriedAt = at - vec2(splined(layers + 1), splined(layers + 2));
  float low = splined(layers);
  float depth[${SHADER_LAYERS}];
  float cover[${SHADER_LAYERS}];
  float surface = 0.0;
  for (int layer = 0; layer < ${SHADER_LAYERS}; layer++) {
    if (layer >= layers) { depth[layer] = 0.0; cover[layer] = 0.0; continue; }
    float h = splined(layer);
    float steep = length(vec2(dFdx(h), dFdy(h))) + 1e-7;
    depth[layer] = h;
    surface += h;
    float edge = ${float(LOOK.edgeM)};
    if (h < ${float(LOOK.evenFromM)}) edge *= exp(${float(LOOK.ragged)} *
      (0.3 * noiseAt(at / ${float(LOOK.standingM)}, layer) + noiseAt(carriedAt / ${float(LOOK.carriedM)}, layer + 7)));
    cover[layer] = h < 1e-9 ? 0.0 : clamp(0.5 + (h - edge) / steep, 0.0, 1.0);
  }
  if (sheet > 0 && depth[sheet] > 4e-6 && netAt(at, depth[sheet])) {
    cover[sheet] = (1.0 - hole) * clamp((depth[sheet] - 6e-6) / 6e-6, 0.0, 1.0);
    depth[sheet] = max(depth[sheet], 0.6 * netM);
    if (core > 0.0) {
      int top = sheet - 1;
      while (top > 0 && cover[top] < 0.5) top--;
      int below = top - 1;
      while (below > 0 && cover[below] < 0.5) below--;
      if (below > 0) cover[top] *= 1.0 - core;
    }
  }
  vec3 sum = vec3(0.0);
  float left = 1.0;
  float ridges = 0.0;
  for (int layer = layers - 1; layer >= 0; layer--) {
    float seen = cover[layer];
    if (layer > 0) ridges += seen;
    if (seen <= 0.0 || left < 2e-3) continue;
    float dense = layer == 0 ? 1.0 : 1.0 - exp(-depth[layer] / depths[layer]);
    float share = left * seen * dense;
    float tone = layer == 0 ? 1.0
      : ${float(1 + 0.375 * LOOK.deeper)} - ${float(LOOK.deeper)} * (1.0 - exp(-depth[layer] / ${float(LOOK.deepM)}));
    vec3 color = colors[layer];
    if (veined[layer] == 1 && share > 0.03) {
      float veins = noiseAt(carriedAt / ${float(LOOK.veinM)}, 13 * layer + 3);
      float streak = noiseAt(carriedAt / ${float(LOOK.streakM)} + vec2(3.0 * veins, 0.0), 13 * layer + 4);
      float near = 1.0 - abs(veins) / ${float(LOOK.vein)};
      if (near > 0.0) {
        float amount = ${float(LOOK.veinShare)} * near * (0.4 + 0.6 * (0.5 + 0.5 * sin(9.0 * veins + float(layer))));
        int next = layer > 1 && (streak > 0.0 || layer >= layers - 2) ? layer - 1 : min(layer + 1, layers - 1);
        if (veined[next] == 1) color = mix(color, colors[next], amount);
      }
      tone *= 1.0 + 0.1 * streak + 0.05 * veins;
    }
    sum += share * color * tone;
    left *= 1.0 - seen * dense;
  }
  sum = (sum + left * support) * (1.0 - 0.18 * ring);
  composed = vec4(sum, 0.45 * low + 4.0 * (surface - low + relief * min(1.0, ${float(LOOK.reliefM)} / pixelM) + 1.6e-5 * ridges));
}`;
