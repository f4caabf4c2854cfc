import { cataloguePoint, type PointCode } from '../catalogue/catalogue';
import type { System } from '../catalogue/points/point';
import type { GradedPoint } from '../grading/verdict';

/** Systems a vehicle is not driven with when one of their points failed. */
const NOT_DRIVEN_WITH: readonly System[] = ['brakes', 'steering', 'tyres', 'suspension'];
/** A spare that failed keeps nobody from driving on the others. */
const NOT_IN_USE: readonly PointCode[] = ['walk.spare'];

/** Failed points that say a vehicle should not be driven: brakes, steering, tyres, suspension, and fuel that leaks. */
export function notToDrive<P extends Pick<GradedPoint, 'point' | 'finding' | 'result'>>(points: readonly P[]): P[] {
  return points.filter(({ point, finding, result }) => {
    if (result.grade !== 'fail' || NOT_IN_USE.includes(point)) return false;
    const { system, leakWanted } = cataloguePoint(point);
    if (NOT_DRIVEN_WITH.includes(system)) return true;
    const leaksFuel = finding?.leaks.some(({ fluid, stage }) => fluid === 'fuel' && stage !== 'dry') ?? false;
    return leaksFuel || (system === 'fuel' && leakWanted);
  });
}
