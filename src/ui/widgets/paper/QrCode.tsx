import { useMemo } from 'react';
import { encode } from 'uqr';

interface Props {
  readonly text: string;
  /** What a screen reader says of it. */
  readonly label: string;
  readonly className?: string;
}

/** A text as a QR code (ISO/IEC 18004), dark on light in every theme. */
export function QrCode({ text, label, className = '' }: Props) {
  const { size, path } = useMemo(() => {
    const code = encode(text, { ecc: 'M', border: 2 });
    const dark = code.data.flatMap((row, y) =>
      row.flatMap((isDark, x) => (isDark ? [`M${x} ${y}h1v1h-1z`] : [])),
    );
    return { size: code.size, path: dark.join('') };
  }, [text]);
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${size} ${size}`}
      shapeRendering="crispEdges"
      className={className}
    >
      <rect width={size} height={size} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
}
