import { form2, upgradeFirstRescues } from './form2';
import { form3 } from './form3';
import { form4 } from './form4';
import { form5 } from './form5';
import { form6 } from './form6';
import { form7 } from './form7';
import { form8 } from './form8';
import { form9 } from './form9';
import { form10 } from './form10';
import { form11 } from './form11';
import { form12 } from './form12';
import { form13 } from './form13';
import { form14 } from './form14';
import { form15 } from './form15';
import { fileBy, rescueBy, type Upgrade } from './walk';

/**
 * Files of earlier forms, brought to the form of now, one form after the other. Every page that opens the database loads these
 * steps, so they know no kinds: they look at what questions had then.
 */
const FORMS = [
  form2,
  form3,
  form4,
  form5,
  form6,
  form7,
  form8,
  form9,
  form10,
  form11,
  form12,
  form13,
  form14,
  form15,
];

const inTurn =
  (steps: readonly Upgrade[]): Upgrade =>
  (value) =>
    steps.reduce((now, step) => step(now), value);

/** A quiz file, a backed-up quiz or a backup's list of any earlier form. */
export const upgradeFile = inTurn(FORMS.map(fileBy));

const laterRescues = inTurn(FORMS.map(rescueBy));

/** A rescue file of any earlier version; the first ones were written in a time zone that they do not name. */
export const upgradeRescue = (file: unknown, zone: string): unknown =>
  laterRescues(upgradeFirstRescues(file, zone));
