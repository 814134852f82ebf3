import Button from '@mui/material/Button';
import { EntranceLayout } from '../ui/entrance/EntranceLayout';

export default function NotFound() {
  return (
    <EntranceLayout
      title="There is nothing here"
      lead="The address leads nowhere, or to somebody else's porch."
    >
      <Button href="/" variant="contained">
        To your own porch
      </Button>
    </EntranceLayout>
  );
}
