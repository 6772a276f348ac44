import type { Problem } from '../kind';

export const problems = (): Problem[] => [];

export const describe = (): string[] => ['A note: it asks nothing and earns nothing.'];
