import type { Schemas } from '../../api/client';
import { Choice } from '../../ui/Choice';

type Role = Schemas['DeviceRole'];

const options = [
  { value: 'cook', label: 'To cook with' },
  { value: 'look', label: 'To look at: a wall, a guest' },
] as const;

/** What a screen is let in for. */
export const RoleChoice = ({ value, onChange }: { value: Role; onChange: (role: Role) => void }) => (
  <Choice<Role> forAll label="What is it for?" value={value} options={options} onChange={onChange} />
);
