import { Text } from '@chakra-ui/react';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { api, type Kitchen } from '../../api/client';
import { useKitchenView } from '../../api/queries';
import { useMayChange } from '../../api/role';
import { Button } from '../../ui/Button';
import { Above } from './Above';

/** Where pounds and degrees Fahrenheit are cooked by. */
const US_UNITS = ['US', 'LR', 'MM'];

/** What this device says of where it is: its zone, the units of its country, its clock. */
export function ofThisDevice(locale = navigator.language): Pick<Kitchen, 'zone' | 'units' | 'clock'> {
  const { region } = new Intl.Locale(locale).maximize();
  const { timeZone } = new Intl.DateTimeFormat().resolvedOptions();
  const { hourCycle } = new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions();
  return {
    zone: timeZone,
    units: region && US_UNITS.includes(region) ? 'us' : 'metric',
    clock: hourCycle === 'h11' || hourCycle === 'h12' ? 'h12' : 'h24',
  };
}

/** A new kitchen takes its zone, units and clock from the first device that comes, and says so once. */
export function FirstVisit() {
  const view = useKitchenView().data;
  const may = useMayChange();
  const queries = useQueryClient();
  const [said, setSaid] = useState<ReturnType<typeof ofThisDevice>>();
  const { mutate } = useMutation({
    mutationFn: ({ version, kitchen }: { version: number; kitchen: Kitchen }) =>
      api.saveKitchen(version, kitchen),
    onSuccess: (kept) => {
      setSaid(ofThisDevice());
      queries.setQueryData(['kitchen'], kept);
      void queries.invalidateQueries();
    },
  });
  const fresh = may && view?.kitchen.as_it_came ? view : undefined;
  useEffect(() => {
    if (fresh) mutate({ version: fresh.version, kitchen: { ...fresh.kitchen, ...ofThisDevice() } });
  }, [fresh, mutate]);
  if (!said) return null;
  const { zone, units, clock } = said;
  return (
    <Above>
      <Text flex="1" minW="14rem" role="status">
        This kitchen goes by this device: {zone.replace('_', ' ')},{' '}
        {units === 'us' ? 'pounds and °F' : 'kilos and °C'}, {clock === 'h12' ? '6:30 pm' : '18:30'}.
      </Text>
      <Button asChild>
        <Link to="/kitchen">Change it</Link>
      </Button>
      <Button weight="quiet" onClick={() => setSaid(undefined)}>
        Good
      </Button>
    </Above>
  );
}
