import { Problem, type Analysis } from './client';
import { api as say } from '../words/api';

/** Analyses a record or a table of turns, told how far it is. The answer comes as server-sent events. */
export async function analyse(
  csv: string,
  of: 'record' | 'turns',
  timeZone: string,
  onProgress: (share: number) => void,
  onWaiting: (place: number) => void = () => undefined,
): Promise<Analysis> {
  const query = new URLSearchParams({ of, time_zone: timeZone });
  let response: Response;
  try {
    response = await fetch(`/api/v1/tide/analyse/watch?${query.toString()}`, {
      method: 'POST',
      body: csv,
      headers: { 'Content-Type': 'text/csv' },
    });
  } catch {
    throw new Problem(0, say.theServerCannotBeReached2);
  }
  if (!response.ok || !response.body) {
    const p = (await response.json().catch(() => ({}))) as { detail?: string };
    throw new Problem(response.status, p.detail ?? say.somethingWentWrong);
  }
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  for (;;) {
    const { done, value } = await reader.read();
    text += value ?? '';
    const events = text.split('\n\n');
    text = events.pop() ?? '';
    for (const e of events) {
      const [, name, data] = /^event: (\w+)\ndata: (.*)$/s.exec(e) ?? [];
      if (name === 'progress') onProgress((JSON.parse(data!) as { share: number }).share);
      if (name === 'waiting') onWaiting((JSON.parse(data!) as { place: number }).place);
      if (name === 'problem') throw new Problem(422, (JSON.parse(data!) as { detail: string }).detail);
      if (name === 'done') return JSON.parse(data!) as Analysis;
    }
    if (done) throw new Problem(0, say.theAnswerWasCutOff);
  }
}
