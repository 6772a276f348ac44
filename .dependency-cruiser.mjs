/**
 * The structure of the code, checked by `npm test`: what may import what. Floors are listed from the ground up; each
 * may reach only what stands before it. See docs/architecture.md.
 */

/** The floors of the application. Workers and the server stand beside each other. */
const HOUSE = [
  ['core'],
  ['device', 'files', 'typeset'],
  ['store'],
  ['views'],
  ['workers', 'server'],
  ['ui'],
  ['kinds'],
  ['desks'],
  ['pages', 'paper'],
];

/** The floors inside the core. What is shown to students and what is checked stand beside each other. */
const CORE = [
  ['figures'],
  ['content'],
  ['answers'],
  ['marks'],
  ['kinds'],
  ['quiz'],
  ['forms'],
  ['scoring'],
  ['reveal', 'checking'],
  ['formats', 'madeUp', 'sitting'],
  ['away'],
];

/** The floors of the parts that desks share: only the last knows the store and the workers. */
const UI = [['words'], ['told'], ['widgets'], ['editing'], ['teacher']];

const DESKS = [
  'shelf',
  'roster',
  'write',
  'plan',
  'tray',
  'check',
  'handback',
  'print',
  'tickets',
  'comparing',
  'sit',
];

const inside = (root, folders) => `^${root}/(${folders.join('|')})/`;

/** One rule for each folder of a floor: nothing above it, and nothing beside it. */
const climbing = (root, floors, name) =>
  floors.flatMap((floor, at) =>
    floor.map((folder) => {
      const closed = [...floor.filter((other) => other !== folder), ...floors.slice(at + 1).flat()];
      return {
        name: `${name}-${folder}`,
        comment: `${folder} reaches only ${floors.slice(0, at).flat().join(', ') || 'itself'}.`,
        severity: 'error',
        from: { path: inside(root, [folder]) },
        to: closed.length > 0 ? { path: inside(root, closed) } : { path: '^nothing$' },
      };
    }),
  );

/** What of a kind the student's page may carry: how far an answer is complete, and how it is written down. */
const STUDENTS_OWN = '^src/core/kinds/(progress|[^/]+/(progress|none|typedIn|places))[.]ts$';

export default {
  forbidden: [
    {
      name: 'no-circle',
      comment: 'Files that import each other in a circle cannot be understood one at a time.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    ...climbing('src', HOUSE, 'house'),
    ...climbing('src/core', CORE, 'core'),
    ...climbing('src/ui', UI, 'ui'),
    {
      name: 'ui-without-store',
      comment:
        'Words and widgets know neither quizzes nor workers: only why something failed, and the clock.',
      severity: 'error',
      from: { path: '^src/ui/(words|told|widgets)/' },
      to: {
        path: '^src/(store|workers)/',
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'core-is-pure',
      comment: 'The core has no interface, no storage, no network and no machine.',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: 'node_modules/(react|react-dom|dexie[^/]*|astro|comlink)/' },
    },
    {
      name: 'core-needs-no-machine',
      comment: 'The core runs in every browser: nothing of Node.',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'desks-apart',
      comment: 'A desk never imports another desk; the workspace alone joins them.',
      severity: 'error',
      from: { path: `^src/desks/(${DESKS.join('|')})/` },
      to: { path: '^src/desks/', pathNot: '^src/desks/$1/' },
    },
    {
      name: 'kinds-by-themselves',
      comment:
        'A kind is named in its folders and in the lists: everybody else asks `kindOf`, or what stands beside the kinds.',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/(core/)?kinds/' },
      to: {
        path: '^src/(core/)?kinds/(pickOne|pickSeveral|trueFalse|phrase|number|gaps|match|order|boxes|rows|spot|written|note)/',
      },
    },
    {
      name: 'students-border',
      comment: 'The student’s page holds no store, keys or marking.',
      severity: 'error',
      from: { path: '^src/(desks/sit|kinds/[^/]+/(Sit|Shown))[/.]' },
      to: {
        path: '^src/(store|core/(answers|marks|kinds|scoring))/',
        pathNot: STUDENTS_OWN,
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'students-own',
      comment: 'What the student’s page may carry of a kind brings nothing of its keys along.',
      severity: 'error',
      from: { path: STUDENTS_OWN },
      to: {
        path: '^src/',
        pathNot: [STUDENTS_OWN, '^src/core/figures/'],
        dependencyTypesNot: ['type-only'],
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    exclude: { path: '\\.d\\.ts$' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
