import type { Metadata } from 'next';
import { TodayScreen } from '../../../../ui/today/TodayScreen';
import { FRAME_WORDS } from '../../../../ui/wording/screens/frame';

export const metadata: Metadata = { title: FRAME_WORDS.today };

export default function TodayPage() {
  return <TodayScreen />;
}
