/** A browser's storage as a test needs it: `room` characters, or one that refuses everything. */
export function keptIn(room = Infinity): Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> {
  const kept = new Map<string, string>();
  return {
    getItem: (name) => kept.get(name) ?? null,
    setItem: (name, text) => {
      const others = [...kept].reduce((sum, [key, one]) => (key === name ? sum : sum + one.length), 0);
      if (others + text.length > room) throw new DOMException('No room', 'QuotaExceededError');
      kept.set(name, text);
    },
    removeItem: (name) => void kept.delete(name),
  };
}
