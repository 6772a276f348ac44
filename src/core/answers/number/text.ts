import { powerOfTen, type Exact } from '../../figures/exact';

/** A number written in digits: a decimal where it ends, else a fraction; very long ones cut. */
export function numberText({ n, d }: Exact): string {
  for (let places = 0; places <= 12; places++) {
    const scaled = powerOfTen(places).n;
    if ((n * scaled) % d !== 0n) continue;
    const whole = (n * scaled) / d;
    const digits = (whole < 0n ? -whole : whole).toString().padStart(places + 1, '0');
    const text = places === 0 ? digits : `${digits.slice(0, -places)}.${digits.slice(-places)}`;
    return `${n < 0n ? '-' : ''}${text.length > 60 ? `${text.slice(0, 57)}…` : text}`;
  }
  const text = `${n}/${d}`;
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}
