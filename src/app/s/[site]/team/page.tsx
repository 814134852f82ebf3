import type { Metadata } from 'next';
import { screenAt } from '../../../../ui/frame/screens';
import { TeamScreen } from '../../../../ui/team/TeamScreen';

export const metadata: Metadata = { title: screenAt('team').name };

export default function Page() {
  return <TeamScreen />;
}
