import type { Schemas } from '../api/client';
import { clockDay } from '../format/time';
import { SelectField } from './SelectField';

type Props = {
  meals: Schemas['MealEntry'][];
  /** The meal that is chosen; a table of its own where none is. */
  value: string;
  onChange: (mealId: string) => void;
  zone: string;
  now: number;
};

/** The choice of no meal. */
export const OWN_TABLE = 'own';

/** With which of the meals to come a dish lands: it gets that bell. */
export function TableField({ meals, value, onChange, zone, now }: Props) {
  const coming = meals.filter((meal) => Date.parse(meal.serve_at) > now || meal.id === value);
  const options = [
    { value: OWN_TABLE, label: 'A table of its own' },
    ...coming.map((meal) => ({
      value: meal.id,
      label: `${meal.name}, ${clockDay(meal.serve_at, zone, now)}`,
    })),
  ];
  return <SelectField label="On the table of" value={value} options={options} onChange={onChange} />;
}
