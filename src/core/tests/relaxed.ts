import { modelOf } from '../hookup/model';
import { seatsOf } from '../hookup/options';
import type { Problem } from '../hookup/problem';
import { relaxationOf, type Relaxation } from '../hookup/relax';

/** The linear relaxation of a whole problem, nothing decided yet. */
export function relaxed(problem: Problem): Relaxation {
  const seats = seatsOf(problem, 30);
  const model = modelOf(seats.problem, seats.lists);
  const caps = Float64Array.from({ length: model.rows }, (_, r) => problem.rows[r]?.limit ?? Infinity);
  return relaxationOf(model, caps, model.first.slice(0, -1));
}
