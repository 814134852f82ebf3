import type { Metadata } from 'next';
import { screenAt } from '../../../../ui/frame/screens';
import { SettingsScreen } from '../../../../ui/settings/SettingsScreen';

export const metadata: Metadata = { title: screenAt('settings').name };

export default function Page() {
  return <SettingsScreen />;
}
