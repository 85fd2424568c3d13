// One year of tide by the usual JavaScript library, on the same machine and in the same run as ours.
// Reads {constituents, start, end, step_s} from standard input, prints the median time in ms.
import { createTidePredictor } from '../ui/node_modules/@neaps/tide-predictor/dist/index.js';

let text = '';
for await (const chunk of process.stdin) text += chunk;
const q = JSON.parse(text);
const predictor = createTidePredictor(
  q.constituents.map((c) => ({ name: c.name, amplitude: c.amplitude_m, phase: c.phase_deg })),
  { offset: false },
);
const times = [];
let samples = 0;
for (let i = 0; i < 6; i++) {
  const t = performance.now();
  samples = predictor.getTimelinePrediction({ start: new Date(q.start), end: new Date(q.end), timeFidelity: q.step_s }).length;
  times.push(performance.now() - t);
}
times.shift(); // the first warms the compiler
times.sort((a, b) => a - b);
console.log(JSON.stringify({ ms: times[2], samples }));
