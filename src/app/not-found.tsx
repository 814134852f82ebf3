import Button from '@mui/material/Button';
import { EntranceLayout } from '../ui/entrance/EntranceLayout';
import { ENTRANCE_WORDS } from '../ui/wording/screens/entrance';

export default function NotFound() {
  return (
    <EntranceLayout title={ENTRANCE_WORDS.pageNotFound} lead={ENTRANCE_WORDS.pageNotFoundHelp}>
      <Button href="/" variant="contained">
        {ENTRANCE_WORDS.openYourSite}
      </Button>
    </EntranceLayout>
  );
}
