import type { Member, Person, SchoolClass } from '@/core/quiz/school';

/** The made-up class of 26, and what 24 of them wrote: one line a student, one column a question. */

const NAMES = [
  'Ada Marsh', 'Bela Fenn', 'Cato Weir', 'Dina Ford', 'Emil Brook', 'Fleur Banks', 'Gero Lock', 'Hana Reed',
  'Ivo Sands', 'Jule Beck', 'Karl Mead', 'Lena Rill', 'Milo Shaw', 'Nora Pool', 'Otis Gill', 'Pia Strand',
  'Quin Leat', 'Rosa Burn', 'Sami Holm', 'Tess Bourne', 'Udo Carr', 'Vera Delph', 'Wim Eddy', 'Xenia Flood',
  'Yann Isle', 'Zoe Mere',
]; // prettier-ignore

export const STUDENTS: readonly Person[] = NAMES.map((name, index) => ({
  id: `demo-${index + 1}`,
  name,
  number: String(801 + index),
  email: '',
  moreTime: null,
}));

const CLASS_8C: SchoolClass = { id: 'demo-class-8c', name: '8C', position: 0, archivedAt: null };
export const CLASSES = [CLASS_8C] as const;

export const MEMBERS: readonly Member[] = STUDENTS.map(({ id }, index) => ({
  classId: CLASS_8C.id,
  studentId: id,
  groups: [index % 2 === 0 ? '8C blue' : '8C green'],
  removedAt: null,
}));

const WRITTEN = `
upper course|oxbow lake|levee|floodplain|a little higher|discharge|upstream|abrasion
upper course|Oxbow Lake|levee|flood plain|much lower|discharge|upstream|Abrasion
upper course|oxbow laek|gorge|floodplain|much lower|velocity|downstream|erosion
middle course|ox-bow lake|levee|Floodplain.|a little higher|Discharge|upstream|corrasion
upper course|lagoon|levee|flood-plain|much lower|speed|upstream|attrition
upper course|oxbow lake|levee|floodplain|higher, because the bed is steeper there|discharge|upstream|abrasion
upper course|an oxbow lake|pothole|delta|much lower|flow|downstream|erosion
lower course|horseshoe lake|levee|flood plain|much lower|current|upstream|
upper course|Oxbow lake|levee|floodplain|a little higher|dischrage|upstream|it is called abrasion
upper course|cutoff lake|levee|water meadow|much lower|flow rate|upstream|erosion
upper course|oxbow|waterfall|floodplain|much lower|discharge|downstream|scraping
upper course|OXBOW LAKE|levee|FLOODPLAIN|a little higher|DISCHARGE|upstream|ABRASION
middle course|meander|levee|river bank|the same|volume|upstream|attrition
upper course|oxbow lake|levee|flood plain|much lower|discharge|upstream|abrasoin
upper course|oxbow lake|levee|floodplain|much lower|river discharge|upstream|abrasion
upper course|ox bow lake|levee|flodplain|higher, because the bed is steeper there|velocity|downstream|friction
upper course|oxbow lake|gorge|floodplain|a little higher|discharge|upstream|Corrasion
upper course|lagoon|levee|meadow|much lower|speed|bank|erosion
upper course|oxbow lake|levee|floodplain|a little higher|discharge|upstream|abrasion
lower course|lake|pothole|?|much lower||downstream|
upper course|Oxbow lakes|levee|the floodplain|much lower|Discharge.|upstream|abrasion
upper course|oxbow lake|levee|floodplain|much lower|discharge|upstream|erosion or abrasion
upper course|cut-off|levee|flood plain|the same|flow|upstream|rubbing
middle course|oxbow lake|levee|floodplain|a little higher|discharge|downstream|abrasion
`;

/** Answers of the first 24 students as they wrote them, in the order of the questions. */
export const WRITTEN_ANSWERS: readonly (readonly string[])[] = WRITTEN.trim()
  .split('\n')
  .map((line) => line.split('|'));
