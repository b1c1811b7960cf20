import { LinkButton } from '../ui/LinkButton.tsx';

export function NotHere() {
  return (
    <div className="grid place-items-center gap-4 p-10 text-center">
      <h1 className="text-2xl">There is nothing at this address</h1>
      <p>The job or machine may have been put away. Everything typed is kept.</p>
      <LinkButton to="/" look="do">
        To the bays
      </LinkButton>
    </div>
  );
}
