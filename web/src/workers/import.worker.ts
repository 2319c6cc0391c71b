import { outlinesFromDxf, outlinesFromSvg } from '@rinnovo/core/format';
import type { ImportAnswer, ImportRequest } from './import-messages';

addEventListener('message', ({ data }: MessageEvent<ImportRequest>) => {
  const answer: ImportAnswer = data.kind === 'svg' ? outlinesFromSvg(data.text) : outlinesFromDxf(data.text, data.assumed);
  postMessage(answer);
});
