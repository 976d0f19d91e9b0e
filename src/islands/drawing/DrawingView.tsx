import { INKS, type Drawing, type Shape } from '../../core/page/drawing.ts';

/** A drawing of the core as SVG, in millimetres; what it shows is said by `label` (none where words beside it say it). */
export function DrawingView({ drawing, label, className }: { drawing: Drawing; label: string; className?: string }) {
  const { width, height, shapes } = drawing;
  return (
    <svg
      className={className}
      viewBox={`-1 -1 ${Math.max(1, width) + 2} ${Math.max(1, height) + 2}`}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {shapes.map((shape, index) => (
        <ShapeView key={index} shape={shape} />
      ))}
    </svg>
  );
}

function ShapeView({ shape }: { shape: Shape }) {
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
      >
        {shape.text}
      </text>
    );
  const paint = {
    fill: shape.fill ? INKS[shape.fill] : 'none',
    stroke: shape.stroke ? INKS[shape.stroke] : 'none',
    strokeWidth: shape.width ?? 0.3,
    strokeDasharray: shape.isDashed ? '1.5 1.5' : undefined,
  };
  switch (shape.kind) {
    case 'rect':
      return <rect x={shape.x} y={shape.y} width={shape.w} height={shape.h} rx={shape.radius} {...paint} />;
    case 'circle':
      return <circle cx={shape.x} cy={shape.y} r={shape.r} {...paint} />;
    case 'line':
      return <line x1={shape.x1} y1={shape.y1} x2={shape.x2} y2={shape.y2} {...paint} />;
    case 'polygon':
      return <polygon points={shape.points.map((point) => point.join()).join(' ')} {...paint} />;
  }
}
