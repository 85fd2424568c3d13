import type { Schemas } from '../api/client';

export type Touch = Omit<Schemas['TouchBody'], 'kind'> & { kind: Kind };
export type Doing = Schemas['DoingBody'];

/** Kinds of touch, as the core names them. */
export type Kind =
  | 'fish'
  | 'rest'
  | 'resume'
  | 'bite'
  | 'missed'
  | 'bait robbed'
  | 'fish on'
  | 'landed'
  | 'lost'
  | 'foul-hooked'
  | 'snagged'
  | 'broke off'
  | 'cast'
  | 'rod set'
  | 'sounded'
  | 'way shut'
  | 'boat passed'
  | 'seen'
  | 'water'
  | 'note'
  | 'correct'
  | 'undo'
  | 'end';

/** What is said in a touch, beside when and in which order. */
export type Said = Omit<Touch, 'id' | 'n' | 'time'>;

export interface Tally {
  rod_hours: number;
  fish: number;
  lost: number;
  missed: number;
  bites: number;
  robbed: number;
  broken: number;
}

/** An outing as the core reads it from its touches. */
export interface Told {
  /** So many fish and snags the leader bore since it was checked, and the note that says it was. */
  leader: number;
  leader_note: string;
  began_at: string;
  ended_at?: string;
  resting_since?: string;
  hooked_since?: string;
  spells: (Doing & {
    id: string;
    started_at: string;
    ended_at: string;
    lasted_s: number;
    going: boolean;
    tally: Tally;
    events: { id: string; kind: Kind; time: string; depth_m?: number }[] | null;
    catches:
      { id: string; time: string; target: string; length_m?: number; kept?: boolean; who?: string }[] | null;
  })[];
  total: Tally;
  next?: { change: string; left_s: number };
  features: { name: string; casts: number; fish: number; signs: number }[];
  /** The kind of feature that brought two fish or more. */
  pays?: string;
  row: {
    rods: {
      rod: string;
      distance_m: number;
      since: string;
      check_bait: string;
      fish: number;
      bites: number;
      offering?: string;
      rig_id?: string;
    }[];
    moves: { rod: string; to_m: number; scouts: boolean }[];
  };
  column: { depth_m: number; turns: number; surface: boolean; tried: boolean; next: boolean }[];
  trail: { along_m: number; out_m: number; feature: string; signs: number; fish: number; aimed: boolean }[];
  standing_m: number;
  /** The last cast went where one had shown nothing. */
  again: boolean;
  same_m: number;
  pass?: {
    to_start_m: number;
    bearing_deg: number;
    course_deg: number;
    speed_ms: number;
    line_m: number;
    depth_m: number;
    hook_m: number;
    hook_deg: number;
    boat_over_s: number;
    lure_over_s: number;
    run_m: number;
  };
  above: { depth_m: number; turns: number; surface: boolean; tried: boolean; next: boolean }[];
  boat_s?: number;
  settles_s?: number;
  stay?: {
    stay: boolean;
    reason: string;
    staying: number;
    staying_low: number;
    staying_high: number;
    away_min?: number;
    going: number;
    best?: string;
    over_min: number;
    left_s: number;
  };
}
