import type { Metadata } from 'next';
import { VersionsScreen } from '../../../../ui/publishing/VersionsScreen';
import { FRAME_WORDS } from '../../../../ui/wording/screens/frame';

export const metadata: Metadata = { title: FRAME_WORDS.versions };

export default function VersionsPage() {
  return <VersionsScreen />;
}
