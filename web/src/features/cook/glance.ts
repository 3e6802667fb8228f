import type { Schemas } from '../../api/client';
import { clockOf } from './NowCard';

/** Whether somebody still tells of it: one left open asks for nothing, and has no hours that others share. */
export const isFollowed = (dish: Schemas['OnTheHeat']) => !dish.left_open_since;

/** What of a dish on the heat is seen at a glance: the clock that runs, and a probe that can’t be believed. */
export const glanceAt = (dish: Schemas['OnTheHeat'], now: number) => {
  const { from, until, waits, probes } = dish;
  return {
    clock: from && until ? clockOf({ from, until, waits }, now) : undefined,
    strange: isFollowed(dish)
      ? probes.find(({ trust }) => trust !== 'steady' && trust !== 'settling')
      : undefined,
  };
};
