import { openStudentPort } from '@/workers/studentPort';
import { addressHere, Sit } from './Sit';

const port = openStudentPort();
const place = addressHere();

/** The student's page. */
export const StudentPage = () => <Sit port={port} place={place} />;
