import Button from '@mui/material/Button';
import { Doorway } from '../ui/entrance/Doorway';

export default function NotFound() {
  return (
    <Doorway title="There is nothing here" lead="The address leads nowhere, or to somebody else's porch.">
      <Button href="/" variant="contained">
        To your own porch
      </Button>
    </Doorway>
  );
}
