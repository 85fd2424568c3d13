import type { ReactNode } from 'react';
import type { Spot } from '../api/client';
import { GivenContext, GoingContext, MomentContext, PlaceContext } from './moment';
import { useGivenState } from './useGivenState';
import { useGoingState } from './useGoingState';
import { useMomentState } from './useMomentState';
import { usePlaceState } from './usePlaceState';

/** Hands out the chosen spot, the chosen moment, what the angler said, and the plan: each changes by itself. */
export function MomentProvider(props: {
  now: Date;
  spots: Spot[];
  /** The spot that is best now, where none was chosen yet. */
  best?: string | undefined;
  children: ReactNode;
}) {
  const place = usePlaceState(props.now, props.spots, props.best);
  const { moment, from } = useMomentState(place);
  const given = useGivenState(place, moment);
  const going = useGoingState(place.spot.id, from);
  return (
    <PlaceContext value={place}>
      <MomentContext value={moment}>
        <GivenContext value={given}>
          <GoingContext value={going}>{props.children}</GoingContext>
        </GivenContext>
      </MomentContext>
    </PlaceContext>
  );
}
