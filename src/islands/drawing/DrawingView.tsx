import { type Drawing, INKS, type Shape } from '../../core/page/index.ts';

interface DrawingViewProps {
  readonly drawing: Drawing;
  /** What it shows; none where words beside it say it. */
  readonly label: string;
  readonly className?: string;
}

/** A drawing of the core as SVG, in millimetres. It lies on white paper, in the dark too: its inks are those of print. */
export function DrawingView({ drawing, label, className = '' }: DrawingViewProps) {
  const { width, height, shapes } = drawing;
  return (
    <svg
      className={`bg-white ${className}`}
      viewBox={`-1 -1 ${Math.max(1, width) + 2} ${Math.max(1, height) + 2}`}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {groupDots(shapes).map((drawn, index) =>
        Array.isArray(drawn) ? <DotsView key={index} dots={drawn} /> : <ShapeView key={index} shape={drawn} />,
      )}
    </svg>
  );
}

type Dot = Extract<Shape, { kind: 'circle' }>;
type OtherShape = Exclude<Shape, Dot>;

/** Dots of one paint that follow each other are drawn as one path: a hundred of them are then as quick as one. */
function groupDots(shapes: readonly Shape[]): (OtherShape | Dot[])[] {
  const drawn: (OtherShape | Dot[])[] = [];
  for (const shape of shapes) {
    const last = drawn.at(-1);
    if (shape.kind !== 'circle') drawn.push(shape);
    else if (Array.isArray(last) && isPaintedAlike(last[0]!, shape)) last.push(shape);
    else drawn.push([shape]);
  }
  return drawn;
}

const isPaintedAlike = (one: Dot, other: Dot) =>
  one.fill === other.fill &&
  one.stroke === other.stroke &&
  one.width === other.width &&
  one.isDashed === other.isDashed;

function DotsView({ dots }: { dots: readonly Dot[] }) {
  const arcs = dots.map(({ x, y, r }) => `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`);
  return <path d={arcs.join('')} {...paintOf(dots[0]!)} />;
}

const paintOf = ({ fill, stroke, width, isDashed }: Exclude<Shape, { kind: 'text' | 'picture' }>) => ({
  fill: fill ? INKS[fill] : 'none',
  stroke: stroke ? INKS[stroke] : 'none',
  strokeWidth: width ?? 0.3,
  strokeDasharray: isDashed ? '1.5 1.5' : undefined,
});

function ShapeView({ shape }: { shape: OtherShape }) {
  if (shape.kind === 'text')
    return (
      <text
        x={shape.x}
        y={shape.y}
        fontSize={shape.size}
        textAnchor={shape.align === 'middle' ? 'middle' : shape.align === 'right' ? 'end' : 'start'}
        fontWeight={shape.isBold ? 700 : 400}
        fill={INKS[shape.fill ?? 'ink']}
        className="drawn-text"
        transform={shape.turn ? `rotate(${shape.turn} ${shape.x} ${shape.y})` : undefined}
      >
        {shape.text}
      </text>
    );
  if (shape.kind === 'picture')
    return (
      <image
        href={`/pictures/${shape.name}.svg`}
        x={shape.x}
        y={shape.y}
        width={shape.w}
        height={shape.h}
        transform={shape.turn ? `rotate(${shape.turn} ${shape.x + shape.w / 2} ${shape.y + shape.h / 2})` : undefined}
      />
    );
  const paint = paintOf(shape);
  switch (shape.kind) {
    case 'rect':
      return <rect x={shape.x} y={shape.y} width={shape.w} height={shape.h} rx={shape.radius} {...paint} />;
    case 'line':
      return <line x1={shape.x1} y1={shape.y1} x2={shape.x2} y2={shape.y2} {...paint} />;
    case 'polygon':
      return <polygon points={shape.points.map((point) => point.join()).join(' ')} {...paint} />;
  }
}
