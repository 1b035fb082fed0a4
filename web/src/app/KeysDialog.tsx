import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { keysTurned } from '../state/screen-slice';
import { useBench } from '../state/bench';
import { keysFor } from './shortcuts';
import { useAppDispatch, useAppSelector } from '../state/store';

export function KeysDialog() {
  const isOpen = useAppSelector((state) => state.screen.isKeysOpen);
  const dispatch = useAppDispatch();
  const { entries } = useBench();
  return (
    <Dialog open={isOpen} onClose={() => dispatch(keysTurned(false))} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">Keys</DialogTitle>
      <DialogContent>
        <Table size="small">
          <TableBody>
            {keysFor(entries.length).map(([key, what]) => (
              <TableRow key={key}>
                <TableCell className="figure" sx={{ whiteSpace: 'pre' }}>
                  {key}
                </TableCell>
                <TableCell>{what}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </DialogContent>
    </Dialog>
  );
}
