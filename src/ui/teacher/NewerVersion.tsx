import { useKept } from './useKept';

/** Says that a newer version waits, with the press that takes it. Nothing while there is none. */
export function NewerVersion() {
  const { takeNewer } = useKept();
  return (
    <div role="status" className="on-screen">
      {takeNewer && (
        <p className="flex flex-wrap items-center justify-center gap-x-4 gap-y-1 border-b border-line bg-paper px-4 py-2 text-[14px]">
          A newer version of Yentrel is ready.
          <button
            type="button"
            className="link-text min-h-[26px] cursor-pointer font-semibold"
            onClick={takeNewer}
          >
            Use it now
          </button>
        </p>
      )}
    </div>
  );
}
