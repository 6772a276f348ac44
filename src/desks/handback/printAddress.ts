/** Where slips are printed: of all students, or of one. */
export const printAddress = (quizId: string, right: 'with' | 'without', student?: string): string => {
  const query = new URLSearchParams({ quiz: quizId, right, ...(student ? { student } : {}) });
  return `/print/?${query.toString()}`;
};
