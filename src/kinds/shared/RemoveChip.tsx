import { X } from '@/ui/widgets/icons';

interface Props {
  readonly label: string;
  readonly onPress: () => void;
}

/** Takes a chip away, at its right end. */
export const RemoveChip = ({ label, onPress }: Props) => (
  <button
    type="button"
    className="inline-flex h-[24px] w-[24px] flex-none cursor-pointer items-center justify-center text-soft hover:text-ink"
    aria-label={label}
    onClick={onPress}
  >
    <X size={13} aria-hidden />
  </button>
);
