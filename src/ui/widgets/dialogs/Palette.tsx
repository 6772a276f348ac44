import { flushSync } from 'react-dom';
import { Command } from 'cmdk';
import { Dialog } from './Dialog';

/** Something that can be done from anywhere. */
export interface PaletteAction {
  readonly name: string;
  /** The keys that do it without the palette. */
  readonly keys?: string;
  readonly run: () => void;
}

interface Props {
  readonly actions: readonly PaletteAction[];
  readonly onClose: () => void;
}

/** Every action of the quiz by its name: typed in part, gone through with the arrow keys, done with Enter. */
export function Palette({ actions, onClose }: Props) {
  return (
    <Dialog title="What do you want to do?" onClose={onClose}>
      <Command label="Find an action" loop>
        <Command.Input data-first-focus className="lined-field" placeholder="Type a part of its name" />
        <Command.List className="mt-2 max-h-[50dvh] overflow-y-auto">
          <Command.Empty className="py-4 text-soft">No action matches.</Command.Empty>
          {actions.map(({ name, keys, run }) => (
            <Command.Item
              key={name}
              value={name}
              className="flex cursor-pointer justify-between gap-4 rounded px-2 py-1.5 data-[selected=true]:bg-wash"
              onSelect={() => {
                // The dialog gives the focus back before the action takes it somewhere.
                flushSync(onClose);
                run();
              }}
            >
              <span>{name}</span>
              {keys && <kbd className="caption font-sans">{keys}</kbd>}
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Dialog>
  );
}
