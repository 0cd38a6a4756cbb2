// A plain figure drawn from the points of a realistic adult, with the point in question marked on it.

import { make } from '../layout/svg.js';

const HEAD = [200, 72, 200, 290];
const BODY = [40, 60, 520, 1580];
const BODY_POINTS = /^(shoulder|crotch|sole|neck|waist|hip|elbow|wrist|fingertip|knee|ankle|heel|toe)/;

/** Outline of the head, features, and the body as a plain frame. */
const paths = (canon) => {
  const at = (key) => `${canon[key].x} ${canon[key].y}`;
  const line = (...keys) => `M${keys.map(at).join('L')}`;
  const bothSides = (draw) => ['l', 'r'].map(draw).join('');
  return [
    `M${at('crown')}C${canon.cheek_r.x} ${canon.crown.y} ${canon.cheek_r.x + 4} ${canon.cheek_r.y - 60} ${at('cheek_r')}L${at('jaw_r')}Q${canon.jaw_r.x - 20} ${canon.chin.y} ${at('chin')}Q${canon.jaw_l.x + 20} ${canon.chin.y} ${at('jaw_l')}L${at('cheek_l')}C${canon.cheek_l.x - 4} ${canon.cheek_l.y - 60} ${canon.cheek_l.x} ${canon.crown.y} ${at('crown')}`,
    `M${at('hair_l')}C${canon.hair_l.x} ${canon.hair_top.y} ${canon.hair_r.x} ${canon.hair_top.y} ${at('hair_r')}`,
    bothSides((s) => line(`brow_${s}_outer`, `brow_${s}_peak`, `brow_${s}_inner`)),
    bothSides((s) => `M${at(`eye_${s}_outer`)}Q${canon[`eye_${s}_top`].x} ${2 * canon[`eye_${s}_top`].y - canon[`eye_${s}_outer`].y} ${at(`eye_${s}_inner`)}Q${canon[`eye_${s}_bottom`].x} ${2 * canon[`eye_${s}_bottom`].y - canon[`eye_${s}_outer`].y} ${at(`eye_${s}_outer`)}`),
    bothSides((s) => `M${at(`ear_${s}_top`)}q${s === 'l' ? -16 : 16} 30 ${canon[`ear_${s}_base`].x - canon[`ear_${s}_top`].x} ${canon[`ear_${s}_base`].y - canon[`ear_${s}_top`].y}`),
    `M${at('nose_top')}L${canon.nose_base.x + 10} ${canon.nose_base.y - 6}L${at('nose_base')}`,
    `M${at('mouth_l')}Q${at('mouth_bottom')} ${at('mouth_r')}`,
    bothSides((s) => line(`neck_${s}`, `shoulder_${s}`, `waist_${s}`, `hip_${s}`, 'crotch')),
    bothSides((s) => line(`shoulder_${s}`, `elbow_${s}`, `wrist_${s}`, `fingertip_${s}`)),
    bothSides((s) => line('crotch', `knee_${s}`, `ankle_${s}`, `heel_${s}`, `toe_${s}`)),
  ];
};

/**
 * @param {!SVGElement} svg whose data hold the canon
 * @param {string} key of the landmark in question
 */
export const showExample = (svg, key) => {
  const canon = JSON.parse(svg.dataset.canon);
  const [x, y, width, height] = BODY_POINTS.test(key) ? BODY : HEAD;
  const side = Math.max(width, height);
  svg.setAttribute('viewBox', `${x - (side - width) / 2} ${y} ${side} ${side}`);
  const k = side / 86;
  const point = canon[key];
  svg.replaceChildren(
    ...paths(canon).map((d) => make('path', { d, 'stroke-width': 1.1 * k })),
    make('circle', { class: 'spot-ring', cx: point.x, cy: point.y, r: 8 * k, 'stroke-width': 1.2 * k }),
    make('circle', { class: 'spot', cx: point.x, cy: point.y, r: 3.2 * k, 'stroke-width': 1.2 * k }),
  );
};
