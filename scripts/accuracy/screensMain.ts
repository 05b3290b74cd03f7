/** Prints how well forty pictures of made-up screens are read, and what the doctor says of as many, on fresh seeds. */
import { randomInt } from 'node:crypto';
import { diagnosed } from './doctor';
import { f1Of, scoreScreen, type ScreenScore } from './screens';

const SCREENS = 40;

async function main(): Promise<void> {
  const seed = randomInt(1e6);
  const sum: ScreenScore = { bedNear: 0, bedAll: 0, found: 0, missed: 0, extra: 0, deep: 0 };
  for (let n = 0; n < SCREENS; n++) {
    const score = await scoreScreen(n, seed);
    for (const name of Object.keys(sum) as (keyof ScreenScore)[]) sum[name] += score[name];
  }
  console.log(
    `${SCREENS} pictures of screens, seeds from ${seed}: bed within 1.5 rows in ${((100 * sum.bedNear) / sum.bedAll).toFixed(1)} % of columns; fish F1 ${f1Of(sum).toFixed(2)} (${sum.found} found, ${sum.missed} missed, ${sum.extra} false), ${sum.deep} off their depth`,
  );

  for (const good of [false, true]) {
    let right = 0;
    let all = 0;
    for (let n = 0; n < SCREENS; n++)
      for (const { planted, first } of await diagnosed(n, seed, good)) {
        all++;
        if (first === planted) right++;
      }
    console.log(
      good
        ? `the doctor asks for nothing on ${right} of ${all} good ones`
        : `the doctor names what was planted first on ${right} of ${all}`,
    );
  }
}

void main();
