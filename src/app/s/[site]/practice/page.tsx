import type { Metadata } from 'next';
import { screenAt } from '../../../../ui/frame/screens';
import { PracticeScreen } from '../../../../ui/practice/PracticeScreen';

export const metadata: Metadata = { title: screenAt('practice').name };

export default function Page() {
  return <PracticeScreen />;
}
