import type { Metadata } from 'next';
import { DesignScreen } from '../../../../ui/design/DesignScreen';

export const metadata: Metadata = { title: 'Design' };

export default function DesignPage() {
  return <DesignScreen />;
}
