import { htmlText } from '@/core/formats/htmlText';
import { renderToStaticMarkup } from 'react-dom/server';
import { SlipSheet, type SheetOf } from '@/ui/widgets/paper/SlipSheet';
import { StoredAt } from '@/ui/widgets/paper/Picture';
import type { Telling } from '@/ui/told/languages';
import { TextsIn, ToldIn } from '@/ui/told/useTold';

/** One student's result as a page that stands alone: it runs nothing and fetches nothing. */

/** It shows what stands in it, and does nothing else. */
const POLICY = "default-src 'none'; style-src 'unsafe-inline'; img-src data:; media-src data:";

export interface SlipLook {
  readonly title: string;
  /** Of the texts of the quiz. */
  readonly language: string;
  readonly telling: Telling;
  /** Rules of style. */
  readonly css: string;
  /** Pictures, sounds and films, as addresses that hold them whole. */
  readonly stored: ReadonlyMap<string, string>;
}

export function slipPage(of: SheetOf, { title, language, telling, css, stored }: SlipLook): string {
  const body = renderToStaticMarkup(
    <ToldIn value={telling}>
      <TextsIn value={language}>
        <StoredAt value={stored}>
          <main className="mx-auto max-w-[720px] bg-paper px-10 py-8 max-sm:px-[18px]">
            <SlipSheet title={title} of={of} heading="h1" />
          </main>
        </StoredAt>
      </TextsIn>
    </ToldIn>,
  );
  return `<!doctype html>
<html lang="${htmlText(telling.language)}" data-theme="chalk">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="${POLICY}">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${htmlText(`${title}: ${of.name}`)}</title>
<style>${css}</style>
</head>
<body>${body}</body>
</html>
`;
}
