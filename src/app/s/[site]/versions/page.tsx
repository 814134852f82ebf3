import type { Metadata } from 'next';
import { VersionsScreen } from '../../../../ui/publishing/VersionsScreen';

export const metadata: Metadata = { title: 'Versions' };

export default function VersionsPage() {
  return <VersionsScreen />;
}
