import { useLooks } from '../../api/role';
import { Button } from '../../ui/Button';

/** The whole kitchen as a file, for whoever may take it along. */
export function SaveKitchen() {
  if (useLooks()) return null;
  return (
    <Button asChild>
      <a href="/api/export" download="ergastic-kitchen.json">
        Save the whole kitchen as a file
      </a>
    </Button>
  );
}
