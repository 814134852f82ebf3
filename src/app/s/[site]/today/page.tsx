import type { Metadata } from 'next';
import { TodayScreen } from '../../../../ui/today/TodayScreen';
import { SHARED_WORDS } from '../../../../ui/wording/screens/shared';

export const metadata: Metadata = { title: SHARED_WORDS.today };

export default function TodayPage() {
  return <TodayScreen />;
}
