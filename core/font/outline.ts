import { DrawFuncs, type Font } from 'harfbuzzjs';

/** A closed contour as points x, y, x, y …, in em, y upward; curves are cut into straight pieces. */
export type Contour = Float64Array;

/** The contours of a glyph. What is ink follows from the non-zero rule. */
export type Outline = Contour[];

/** Straight pieces that a curve is cut into: off by less than a thousandth of the em. */
const QUADRATIC_PIECES = 8;
const CUBIC_PIECES = 12;

/** What the pen has drawn of a glyph, in font units. */
class Pen {
  readonly contours: number[][] = [];
  #contour: number[] = [];

  moveTo(x: number, y: number): void {
    this.#contour = [x, y];
    this.contours.push(this.#contour);
  }

  lineTo(x: number, y: number): void {
    this.#contour.push(x, y);
  }

  quadraticTo(cx: number, cy: number, x: number, y: number): void {
    const [x0, y0] = this.#at();
    for (let i = 1; i <= QUADRATIC_PIECES; i++) {
      const t = i / QUADRATIC_PIECES;
      const [a, b, c] = [(1 - t) ** 2, 2 * t * (1 - t), t ** 2];
      this.lineTo(a * x0 + b * cx + c * x, a * y0 + b * cy + c * y);
    }
  }

  cubicTo(ax: number, ay: number, bx: number, by: number, x: number, y: number): void {
    const [x0, y0] = this.#at();
    for (let i = 1; i <= CUBIC_PIECES; i++) {
      const t = i / CUBIC_PIECES;
      const s = 1 - t;
      const [a, b, c, d] = [s ** 3, 3 * t * s ** 2, 3 * t ** 2 * s, t ** 3];
      this.lineTo(a * x0 + b * ax + c * bx + d * x, a * y0 + b * ay + c * by + d * y);
    }
  }

  #at(): [number, number] {
    return [this.#contour.at(-2) ?? 0, this.#contour.at(-1) ?? 0];
  }
}

let functions: DrawFuncs | null = null;

function drawFunctions(): DrawFuncs {
  if (functions) return functions;
  functions = new DrawFuncs();
  functions.setMoveToFunc((x, y, pen) => (pen as Pen).moveTo(x, y));
  functions.setLineToFunc((x, y, pen) => (pen as Pen).lineTo(x, y));
  functions.setQuadraticToFunc((cx, cy, x, y, pen) => (pen as Pen).quadraticTo(cx, cy, x, y));
  functions.setCubicToFunc((ax, ay, bx, by, x, y, pen) =>
    (pen as Pen).cubicTo(ax, ay, bx, by, x, y),
  );
  functions.setClosePathFunc(() => undefined);
  return functions;
}

/** A glyph's outline at the font's point of its axes, or null when it draws nothing. */
export function glyphOutline(font: Font, glyph: number, unitsPerEm: number): Outline | null {
  const pen = new Pen();
  font.drawGlyph(glyph, drawFunctions(), pen);
  const contours = pen.contours.filter(({ length }) => length >= 6);
  return contours.length === 0
    ? null
    : contours.map((points) => Float64Array.from(points, (value) => value / unitsPerEm));
}

/** The box around an outline, em. */
export interface Box {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

export function boxOf(outline: Outline): Box {
  const box = { left: Infinity, right: -Infinity, bottom: Infinity, top: -Infinity };
  for (const contour of outline) {
    for (let i = 0; i < contour.length; i += 2) {
      const x = contour[i] ?? 0;
      const y = contour[i + 1] ?? 0;
      if (x < box.left) box.left = x;
      if (x > box.right) box.right = x;
      if (y < box.bottom) box.bottom = y;
      if (y > box.top) box.top = y;
    }
  }
  return box;
}
