import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, type ReactNode } from 'react';
import { api, type Schemas } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { changed, clashesOf, settled, type Clash as Clashing } from '../device/device';
import { show } from '../format/spoken';
import { clock, day } from '../format/time';
import { useSession } from '../signin/session';
import { fish as say } from '../words/fish';

type Spell = Schemas['SpellOut'];

/** What two tellings of a spell can differ in, in words. */
const facets: { name: string; of: (s: Spell) => string }[] = [
  {
    name: say.clash.time,
    of: (s) => `${clock(s.started_at, s.time_zone)} – ${clock(s.ended_at, s.time_zone)}`,
  },
  { name: say.clash.rested, of: (s) => say.minutes(Math.round((s.paused_s ?? 0) / 60)) },
  { name: say.mark, of: (s) => s.mark },
  { name: say.forWhich, of: (s) => s.target_name },
  { name: say.onTheHook, of: (s) => s.offering },
  { name: say.rods, of: (s) => String(s.rods) },
  {
    name: say.clash.fish,
    of: (s) =>
      s.catches
        .map((c) => `${c.target_name}${c.length_m ? ` ${show('fish_length', c.length_m)}` : ''}`)
        .join(', '),
  },
  { name: say.clash.note, of: (s) => s.note },
];

/** Spells that a hand changed in the log and that were told otherwise here: both are shown, and one is chosen. */
export function Clashes() {
  const { name } = useSession();
  const { data, refetch } = useQuery({ queryKey: [...keys.clashes, name], queryFn: () => clashesOf(name) });
  useEffect(() => changed(() => void refetch()), [refetch]);
  return (data ?? []).map((c) => <Clash key={c.spell.spell_id} clash={c} />);
}

function Clash({ clash }: { clash: Clashing }) {
  const { name } = useSession();
  const queries = useQueryClient();
  const invalidate = useInvalidate();
  const { log, told, spell_id } = clash.spell;
  const choose = useMutation({
    mutationFn: async (retell: boolean) => {
      if (retell) await api.putOuting(clash.outing, { touches: [], retell: [spell_id] });
      await settled(name, spell_id);
    },
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: keys.clashes });
      void invalidate('log');
    },
  });
  const differ = facets.filter((f) => !told || f.of(log) !== f.of(told));
  return (
    <section className="panel fish-clash" role="group" aria-label={say.clash.title}>
      <h2>{say.clash.title}</h2>
      <p>
        {say.clash.both(
          log.spot_name,
          day(log.started_at, log.time_zone),
          clock(log.started_at, log.time_zone),
        )}
      </p>
      <table>
        <thead>
          <tr>
            <td />
            <th scope="col">{say.clash.log}</th>
            <th scope="col">{say.clash.here}</th>
          </tr>
        </thead>
        <tbody>
          {differ.map((f) => (
            <tr key={f.name}>
              <th scope="row">{f.name}</th>
              <Said>{f.of(log)}</Said>
              <Said>{told ? f.of(told) : say.clash.takenBack}</Said>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="fish-row">
        <button className="act" disabled={choose.isPending} onClick={() => choose.mutate(false)}>
          {say.clash.keepTheLog}
        </button>
        <button className="act" disabled={choose.isPending} onClick={() => choose.mutate(true)}>
          {say.clash.takeThis}
        </button>
      </div>
      {choose.isError && <p role="alert">{choose.error.message}</p>}
    </section>
  );
}

const Said = ({ children }: { children: ReactNode }) => <td>{children || '–'}</td>;
