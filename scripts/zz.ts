import { SCENES, makeScene, trackOver } from '@/core/scene';
import { GENERIC_RIG, faceOf, TRANSDUCERS, transducerOf } from '@/core/rig';
import { traceEchoes, soundChannel } from '@/core/sounder';
for (const r of SCENES) for (const f of [transducerOf('twin-83-200').faces[0]!, transducerOf('imaging').faces[0]!]) {
  const t0=performance.now();
  const scene = makeScene(r.id, 1); const track = trackOver(r.id, 1);
  const t1=performance.now();
  const g = traceEchoes(scene, track, GENERIC_RIG, f, r.rangeM);
  const t2=performance.now();
  const ch = soundChannel({scene, track, rig: GENERIC_RIG, faces:[f], pingRate: r.pingRate, farM: r.rangeM, seed: 1}, f, g);
  const t3=performance.now();
  console.log(r.id.padEnd(20), f.id, 'pings', ch.pingCount, 'samples', ch.sampleCount, 'points', g.points.rangeM.length, 'scene', (t1-t0).toFixed(0), 'trace', (t2-t1).toFixed(0), 'listen', (t3-t2).toFixed(0));
}
