import { useRef, useState } from 'react';

interface Props {
  /** What the file is, as screen readers name the field. */
  readonly label: string;
  readonly accept: string;
  readonly onFiles: (files: readonly File[]) => void;
  /** Several at once, where that is wanted. */
  readonly several?: boolean;
}

/** A place where a file is dropped or chosen. */
export function FileDrop({ label, accept, onFiles, several = false }: Props) {
  const give = (list: FileList | null) => {
    const files = [...(list ?? [])].slice(0, several ? undefined : 1);
    if (files.length > 0) onFiles(files);
  };
  const field = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  return (
    <div
      className={`mt-3 rounded border border-dashed px-4 text-center ${several ? 'py-4' : 'py-7'} ${over ? 'border-petrol bg-paper' : 'border-[var(--field)]'}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        give(event.dataTransfer.files);
      }}
    >
      <p className="text-soft">{several ? 'Drop files here, or' : 'Drop a file here, or'}</p>
      <button
        type="button"
        className={`btn btn-sm mt-2 ${several ? 'btn-outline' : 'btn-primary'}`}
        onClick={() => field.current?.click()}
      >
        {several ? 'Choose files' : 'Choose a file'}
      </button>
      <input
        ref={field}
        type="file"
        accept={accept}
        multiple={several}
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          give(event.target.files);
          event.target.value = '';
        }}
      />
    </div>
  );
}
