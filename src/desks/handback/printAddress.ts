interface Those {
  readonly student?: string;
  /** A class or a group; null: everybody. */
  readonly circle?: { readonly name: string } | null;
}

/** Where results are printed: of all students, of a class or a group, or of one. */
export const printAddress = (quizId: string, right: 'with' | 'without', those: Those = {}): string => {
  const query = new URLSearchParams({ quiz: quizId, right });
  if (those.student) query.set('student', those.student);
  else if (those.circle) query.set('of', those.circle.name);
  return `/print/?${query.toString()}`;
};
