import { useEffect, useRef, useState } from 'react';
import { Boundary } from '@/ui/widgets/press/Boundary';
import { PageHead } from '@/ui/teacher/PageHead';
import { Failed } from '@/ui/widgets/press/Failed';
import { switchTheme } from '@/ui/widgets/layout/ThemeSwitch';
import { useQuery } from '@/ui/widgets/press/useQuery';
import { readingFailed } from '@/ui/words/failureWords';
import { quickWorker } from '@/workers/clients';
import { answerIn, comparingAddress, triedIn } from '@/ui/teacher/comparingAddress';
import type { Example } from './exampleGroups';
import { Examples } from './Examples';
import { Fields } from './Fields';
import { Result } from './Result';

const ACTIONS = [
  { name: 'Go to the Shelf', run: () => location.assign('/') },
  { name: 'Go to the classes', run: () => location.assign('/class/') },
  { name: 'Light or dark', run: switchTheme },
];

const PAUSE = 300;

/** A page to try on what a typed answer is compared as, by the code that marks. */
export function Comparing() {
  return (
    <Boundary name="comparing">
      <Trying />
    </Boundary>
  );
}

function Trying() {
  const [tried, setTried] = useState(() => triedIn(location.search));
  const [answer, setAnswer] = useState(() => answerIn(location.search));
  const top = useRef<HTMLHeadingElement>(null);
  const { value, failure, again } = useQuery(
    () => quickWorker().compareTyped(tried, answer),
    [tried, answer],
  );
  useEffect(() => {
    // A browser lets a page change its address so often and no more: with the next pause in typing.
    const timer = setTimeout(() => history.replaceState(null, '', comparingAddress(tried, answer)), PAUSE);
    return () => clearTimeout(timer);
  }, [tried, answer]);
  const take = (example: Example) => {
    setTried(example.tried);
    setAnswer(example.answer);
    top.current?.focus();
    top.current?.scrollIntoView({ block: 'start' });
  };
  return (
    <div className="mx-auto max-w-[1180px] px-6 pb-16 max-sm:px-4">
      <PageHead actions={ACTIONS} />
      <main className="grid grid-cols-[minmax(0,1fr)_360px] items-start gap-x-10 max-lg:grid-cols-1">
        <div className="bg-paper px-9 py-7 max-sm:px-4">
          <h1 ref={top} tabIndex={-1} className="scroll-mt-4 text-[24px] outline-none">
            How answers are compared
          </h1>
          <p className="mt-1 mb-5 text-soft">
            Type a right answer and what a student might write. Nothing here is stored.
          </p>
          <Fields tried={tried} answer={answer} onTried={setTried} onAnswer={setAnswer} />
          {failure && <Failed className="mt-4" text={readingFailed(failure)} onAgain={again} />}
          {value && <Result compared={value} />}
        </div>
        <aside aria-labelledby="comparing-examples" className="max-lg:mt-6">
          <h2 id="comparing-examples" className="text-[17px]">
            Examples to try
          </h2>
          <Examples onTake={take} />
        </aside>
      </main>
    </div>
  );
}
