import { Navigate } from 'react-router';
import { useDevice } from '../../api/queries';
import { SignIn } from './SignIn';

/** Where an invitation leads: to the question what the screen is called, and then to what is on the heat. */
export function ComeIn() {
  const device = useDevice();
  if (device.data?.signed_in) return <Navigate to="/cook" replace />;
  return <SignIn />;
}
