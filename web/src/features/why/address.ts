import type { Schemas } from '../../api/client';

/** Where the time of a kept plan or a cook is explained: by its id, so that it is the very one. */
export const whyOf = (kind: 'plan' | 'cook', id: string) => `/why/${kind}/${id}`;

const without = (value: object) =>
  Object.fromEntries(Object.entries(value).filter(([, field]) => field !== null && field !== undefined));

/** Where a plan that is not kept is explained: all of it stands in the address. */
export const whyOfPlan = (plan: Schemas['Plan']) =>
  `/why?${new URLSearchParams({ p: JSON.stringify(without(plan)) }).toString()}`;

/** Where a free question is explained: the whole question stands in the address. */
export const whyOfQuestion = (request: Schemas['ForecastRequest']) =>
  `/why?${new URLSearchParams({ f: JSON.stringify(without(request)) }).toString()}`;
