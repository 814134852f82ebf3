import type { Metadata } from 'next';
import { VersionsScreen } from '../../../../ui/publishing/VersionsScreen';
import { SHARED_WORDS } from '../../../../ui/wording/screens/shared';

export const metadata: Metadata = { title: SHARED_WORDS.versions };

export default function VersionsPage() {
  return <VersionsScreen />;
}
