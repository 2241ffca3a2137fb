/**
 * The column of each row in an assignment of least total cost, by shortest augmenting paths over potentials (Kuhn 1955,
 * Munkres 1957; in n³ steps as Jonker and Volgenant 1987). `costs` is square, of finite numbers.
 */
export function leastAssignment(costs: readonly (readonly number[])[]): readonly number[] {
  const size = costs.length
  const ofRow = new Array<number>(size + 1).fill(0)
  const ofColumn = new Array<number>(size + 1).fill(0)
  /** The row, from 1, of each column, from 1; 0 where it has none. */
  const rowAt = new Array<number>(size + 1).fill(0)
  for (let row = 1; row <= size; row += 1) {
    const cameFrom = augment(costs, row, { ofRow, ofColumn, rowAt })
    let column = cameFrom.last
    while (column !== 0) {
      const before = cameFrom.columns[column] ?? 0
      rowAt[column] = rowAt[before] ?? 0
      column = before
    }
  }
  const columns = new Array<number>(size).fill(0)
  for (let column = 1; column <= size; column += 1) columns[(rowAt[column] ?? 1) - 1] = column - 1
  return columns
}

interface Potentials {
  readonly ofRow: number[]
  readonly ofColumn: number[]
  readonly rowAt: number[]
}

/** The shortest path from a row without a column to a column without a row, and the potentials after it. */
function augment(
  costs: readonly (readonly number[])[],
  start: number,
  { ofRow, ofColumn, rowAt }: Potentials,
): { readonly last: number; readonly columns: readonly number[] } {
  const size = costs.length
  const least = new Array<number>(size + 1).fill(Infinity)
  const columns = new Array<number>(size + 1).fill(0)
  const isDone = new Array<boolean>(size + 1).fill(false)
  rowAt[0] = start
  let here = 0
  do {
    isDone[here] = true
    const row = rowAt[here] ?? 0
    let [delta, next] = [Infinity, 0]
    for (let column = 1; column <= size; column += 1) {
      if (isDone[column]) continue
      const cost = (costs[row - 1]?.[column - 1] ?? 0) - (ofRow[row] ?? 0) - (ofColumn[column] ?? 0)
      if (cost < (least[column] ?? Infinity)) {
        least[column] = cost
        columns[column] = here
      }
      if ((least[column] ?? Infinity) < delta) [delta, next] = [least[column] ?? Infinity, column]
    }
    for (let column = 0; column <= size; column += 1) {
      if (isDone[column]) {
        ofRow[rowAt[column] ?? 0] = (ofRow[rowAt[column] ?? 0] ?? 0) + delta
        ofColumn[column] = (ofColumn[column] ?? 0) - delta
      } else least[column] = (least[column] ?? Infinity) - delta
    }
    here = next
  } while (rowAt[here] !== 0)
  return { last: here, columns }
}
