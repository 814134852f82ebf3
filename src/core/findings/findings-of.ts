import { isOnlyHere, isTestOrigin } from '../pages/origins';
import { type Finding, type FindingContext, finding } from './finding';
import { formFindings } from './forms';
import { invitationFindings } from './invitations';
import { lookFindings } from './looks';
import { pageFindings } from './pages';
import { peopleFindings } from './people';
import { wordFindings } from './words';

/** Everything that is computed to be wrong or doubtful, what has to be mended first. */
export function findingsOf(input: FindingContext): Finding[] {
  const all = [
    ...peopleFindings(input),
    ...formFindings(input),
    ...invitationFindings(input),
    ...pageFindings(input),
    ...lookFindings(input),
    ...wordFindings(input),
    ...addressFindings(input),
    ...proxyFindings(input),
  ];
  return [
    ...all.filter(({ level }) => level === 'must-fix'),
    ...all.filter(({ level }) => level === 'suggestion'),
  ];
}

/** Behind a proxy that nobody has named, limits count by addresses that cannot be believed. */
function proxyFindings({ proxySeen }: FindingContext): Finding[] {
  return proxySeen === null ? [] : [finding('proxy-not-trusted', [], { values: { proxy: proxySeen } })];
}

/** Whether visitors' browsers can fetch the widget at all; a site that is itself only for testing has no visitors. */
function addressFindings({ ownAddress, domains }: FindingContext): Finding[] {
  const real = domains.filter((one) => !isTestOrigin(one));
  if (real.length > 0 && isOnlyHere(ownAddress)) return [finding('address-local-only', [])];
  const isBlocked = ownAddress.startsWith('http:') && real.some((one) => one.startsWith('https:'));
  return isBlocked ? [finding('page-https-app-http', [], { values: { address: ownAddress } })] : [];
}
