import { Suspense, lazy } from 'react';
import { Outlet } from 'react-router';
import { useReach } from '../../api/reach';

const SignIn = lazy(async () => ({ default: (await import('../devices/SignIn')).SignIn }));

/** Every place, to who has signed in; to who has not, the way in. */
export function Entrance() {
  const { signedOut } = useReach();
  if (!signedOut) return <Outlet />;
  return (
    <Suspense>
      <SignIn />
    </Suspense>
  );
}
