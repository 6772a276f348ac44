/** A student's name, with what tells two of one name apart. */
export const StudentName = ({ name, apart }: { readonly name: string; readonly apart: string }) => (
  <>
    {name}
    {apart && <span className="caption figures ml-2 font-normal">{apart}</span>}
  </>
);
