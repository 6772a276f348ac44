import { useEffect, useState } from 'react';

/** A value once it has not changed for some ms; the first one at once. For what is too much work for each key. */
export function useSettled<Value>(value: Value, ms: number): Value {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}
