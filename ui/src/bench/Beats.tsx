import { useEffect, useRef, useState } from 'react';
import type { BenchOut } from '../api/client';
import { fixed } from '../format/measure';
import { bench as say } from '../words/bench';

/** Pitch of each move, Hz; a pause is silent. */
const pitch: Record<string, number> = {
  wind: 330,
  twitch: 660,
  jerk: 740,
  pop: 880,
  hop: 550,
  walk: 440,
  lift: 392,
};
const speeds = [1, 0.5, 0.25];

/** A retrieve played by sound, light and vibration, in slow motion too. */
export function Beats({ beats }: { beats: BenchOut<'cadence'>['beats'] }) {
  const [at, setAt] = useState(-1);
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState(1);
  const audio = useRef<AudioContext>(null);
  const total = beats.reduce((s, b) => s + b.seconds, 0);
  useEffect(() => {
    if (!playing) return;
    let i = -1;
    let timer = 0;
    const step = () => {
      i = (i + 1) % beats.length;
      const b = beats[i]!;
      setAt(i);
      if (pitch[b.move]) {
        navigator.vibrate?.(b.move === 'wind' ? 30 : 90);
        click(audio.current, pitch[b.move]!, Math.min(b.seconds / speed, 0.16));
      }
      timer = window.setTimeout(step, (b.seconds * 1000) / speed);
    };
    step();
    return () => {
      clearTimeout(timer);
      setAt(-1);
    };
  }, [playing, beats, speed]);
  return (
    <div className="beats">
      <ol>
        {beats.map((b, i) => (
          <li
            key={i}
            className={`${b.move === 'pause' ? 'rest' : ''} ${i === at ? 'on' : ''}`}
            style={{ flexGrow: b.seconds / total }}
          >
            {b.move}
            <span className="small"> {fixed(b.seconds, 1)} s</span>
          </li>
        ))}
      </ol>
      <div className="bench-acts">
        <button
          className="toggle"
          aria-pressed={playing}
          onClick={() => {
            audio.current ??= 'AudioContext' in window ? new AudioContext() : null;
            setPlaying(!playing);
          }}
        >
          {playing ? say.stop : say.play}
        </button>
        {speeds.map((s) => (
          <button key={s} className="toggle" aria-pressed={s === speed} onClick={() => setSpeed(s)}>
            {s === 1 ? say.atItsPace : s === 0.5 ? say.halfAsFast : say.aQuarter}
          </button>
        ))}
      </div>
    </div>
  );
}

function click(audio: AudioContext | null, hz: number, seconds: number) {
  if (!audio) return;
  const tone = audio.createOscillator();
  const loud = audio.createGain();
  tone.frequency.value = hz;
  loud.gain.setValueAtTime(0.25, audio.currentTime);
  loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + seconds);
  tone.connect(loud).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + seconds);
}
