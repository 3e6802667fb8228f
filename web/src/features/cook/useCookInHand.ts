import { useEffect } from 'react';
import { useParams } from 'react-router';
import { useCook, useKitchen } from '../../api/queries';
import { takeInHand } from '../shell/inHand';

/** The cook of this address, taken in hand once it is there, and the kitchen it stands in. */
export function useCookInHand() {
  const { cookId } = useParams();
  const cook = useCook(cookId);
  const kitchen = useKitchen();
  const planId = cook.data?.plan_id;
  useEffect(() => {
    if (planId) takeInHand({ planId, cookId });
  }, [planId, cookId]);
  return { cookId, cook, kitchen };
}
