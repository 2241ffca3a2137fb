// Trigonometry in degrees, as the formula book has it.
const perDegree = Math.PI / 180

export const sin = (degrees: number): number => Math.sin(degrees * perDegree)
export const cos = (degrees: number): number => Math.cos(degrees * perDegree)
export const tan = (degrees: number): number => Math.tan(degrees * perDegree)
export const asin = (ratio: number): number => Math.asin(ratio) / perDegree
export const acos = (ratio: number): number => Math.acos(ratio) / perDegree
export const atan2 = (y: number, x: number): number => Math.atan2(y, x) / perDegree
export const radians = (degrees: number): number => degrees * perDegree
