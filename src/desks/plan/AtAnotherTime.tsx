import { useState } from 'react';
import type { PaperPacket, Slip } from '@/core/reveal/packets';
import { listedStudents } from '@/store/class/roster';
import { now } from '@/device/clock';
import { useQuiz } from '@/ui/teacher/quizContext';
import { Failed } from '@/ui/widgets/press/Failed';
import { SlipClass, SlipQuestions, SlipScore, SlipWords } from '@/ui/widgets/paper/SlipParts';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { pointsWord } from '@/ui/words/figures';
import { viewsDependOn } from '@/core/checking/dependsOn';
import { stillToCome, whenResultsCome } from '@/ui/told/resultTimes';
import { useTold } from '@/ui/told/useTold';
import { fromWallField, toWallField } from '@/ui/words/wallField';
import { dayAndTimeIn } from '@/ui/words/zoneTime';
import { classWorker } from '@/workers/clients';

/** What a slip shows, as the student would read it. */
function SlipThen({ slip }: { readonly slip: Slip }) {
  const rest = stillToCome(useTold(), slip.toCome);
  const hasParts = slip.parts.some((part) => part.result || part.text || part.comment !== null);
  return (
    <>
      {slip.score && <SlipScore score={slip.score} />}
      {slip.classDid && <SlipClass did={slip.classDid} />}
      <SlipWords slip={slip} />
      {!slip.score && !hasParts && slip.comment === null && <p>Nothing of the result yet.</p>}
      {rest.length > 0 && (
        <ul aria-label="Still to come" className="mt-3 border-l-2 border-petrol pl-3 text-[14px]">
          {rest.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {hasParts && <SlipQuestions slip={slip} className="mt-3" />}
    </>
  );
}

/** Where the student stands then, where there is no slip. */
function StateThen({
  packet,
  zone,
}: {
  readonly packet: Exclude<PaperPacket, { state: 'finished' }>;
  readonly zone: string;
}) {
  const told = useTold();
  const words = {
    unknown: 'This student is not here any more.',
    closed: 'The quiz is not open for this student.',
    ready: 'The quiz is open, and not begun.',
    working: 'Working on it.',
    locked: 'Locked, as the page was left.',
    notHandedIn: 'The quiz has closed over work that does not count.',
  }[packet.state];
  const opens =
    packet.state === 'closed' && packet.opensAt !== null
      ? ` It opens ${dayAndTimeIn(packet.opensAt, zone)}.`
      : '';
  const lines =
    packet.state === 'ready' || packet.state === 'working' ? whenResultsCome(told, packet.cover) : [];
  return (
    <>
      <p>
        {words}
        {opens}
      </p>
      {'missing' in packet && packet.missing && (
        <p className="font-semibold">0 of {pointsWord(packet.missing.outOf)}, as nothing was handed in.</p>
      )}
      <ul className="mt-2 text-[14px]">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </>
  );
}

/** What one student sees at any time, by the code that shows it to the student. */
export function AtAnotherTime() {
  const { quiz, attemptsSeq } = useQuiz();
  const { zone } = quiz.content;
  const { setTo } = quiz.standing;
  const { value: students } = useQuery(() => listedStudents(setTo), [JSON.stringify(setTo)]);
  const [chosen, setChosen] = useState<string | null>(null);
  const [at, setAt] = useState(() => now());
  const [first] = students ?? [];
  const studentId = chosen ?? first?.id ?? null;
  const { value, failure, again } = useQuery(
    async () => (studentId === null ? null : classWorker().seenAt(quiz.id, studentId, at)),
    [quiz.id, studentId, at, viewsDependOn(quiz), attemptsSeq],
  );
  if (!students || studentId === null) return null;
  return (
    <section aria-labelledby="at-another-time">
      <h2 id="at-another-time" className="text-[15px]">
        At another time
      </h2>
      <p className="mt-1 leading-8">
        What{' '}
        <select
          className="sentence-part"
          aria-label="Which student"
          value={studentId}
          onChange={(event) => setChosen(event.target.value)}
        >
          {students.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>{' '}
        sees at{' '}
        <input
          type="datetime-local"
          className="input h-8"
          aria-label="At which time"
          defaultValue={toWallField(at, zone)}
          onChange={(event) => {
            const typed = fromWallField(event.target.value, zone);
            if (!Number.isNaN(typed)) setAt(typed);
          }}
        />
      </p>
      {failure && <Failed className="mt-2" text={readingFailed(failure)} onAgain={again} />}
      <div role="region" aria-label="What the student sees then" className="mt-2 bg-paper px-4 py-3">
        {value ? (
          value.state === 'finished' ? (
            <SlipThen slip={value.slip} />
          ) : (
            <StateThen packet={value} zone={zone} />
          )
        ) : (
          <p className="caption">Looking…</p>
        )}
      </div>
      <p className="caption mt-1">Later hand-ins, scores and comments are not shown; the key is today’s.</p>
    </section>
  );
}
