import { useRef, useState } from 'react';

interface Props {
  /** What the file is, as screen readers name the field. */
  readonly label: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
}

/** A place where a file is dropped or chosen. */
export function FileDrop({ label, accept, onFile }: Props) {
  const field = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  return (
    <div
      className={`mt-3 rounded border border-dashed px-4 py-7 text-center ${over ? 'border-petrol bg-paper' : 'border-[var(--field)]'}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        const file = event.dataTransfer.files[0];
        if (file) onFile(file);
      }}
    >
      <p className="text-soft">Drop a file here, or</p>
      <button type="button" className="btn btn-sm btn-primary mt-2" onClick={() => field.current?.click()}>
        Choose a file
      </button>
      <input
        ref={field}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
    </div>
  );
}
