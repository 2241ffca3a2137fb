import type { BasePosition } from '#model/common'

type Row = Readonly<Record<BasePosition, number>>

/**
 * Seconds from one base position (row) to another (column), people only, props apart.
 * Estimates of ours for a group of regular people: lying and turning is quick, getting up from the floor,
 * to the wall and onto a chair is slow. Learned times take their place class by class.
 */
export const changeSeconds: Readonly<Record<BasePosition, Row>> = {
  standing: row(0, 15, 15, 20, 25, 25, 20, 20, 30),
  kneeling: row(15, 0, 5, 10, 20, 15, 10, 25, 40),
  allFours: row(15, 5, 0, 10, 15, 15, 10, 25, 40),
  prone: row(25, 15, 10, 0, 10, 10, 20, 35, 45),
  supine: row(35, 25, 20, 10, 0, 10, 25, 40, 45),
  sideLying: row(30, 15, 15, 10, 10, 0, 15, 35, 45),
  seated: row(20, 10, 10, 15, 15, 15, 0, 25, 35),
  onChair: row(10, 25, 25, 35, 35, 35, 25, 0, 35),
  atWall: row(40, 30, 30, 30, 20, 20, 30, 40, 0),
}

function row(
  standing: number,
  kneeling: number,
  allFours: number,
  prone: number,
  supine: number,
  sideLying: number,
  seated: number,
  onChair: number,
  atWall: number,
): Row {
  return { standing, kneeling, allFours, prone, supine, sideLying, seated, onChair, atWall }
}
