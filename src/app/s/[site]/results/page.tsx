import type { Metadata } from 'next';
import { ScreenToCome } from '../../../../ui/frame/ScreenToCome';
import { screenAt } from '../../../../ui/frame/screens';

export const metadata: Metadata = { title: screenAt('results').name };

export default function Page() {
  return <ScreenToCome path="results" />;
}
