import type { Metadata } from 'next';
import { screenAt } from '../../../../ui/frame/screens';
import { AccountScreen } from '../../../../ui/account/AccountScreen';

export const metadata: Metadata = { title: screenAt('account').name };

export default function Page() {
  return <AccountScreen />;
}
