import type { Problem } from '@/core/schema/result';

/** How many faults of a refused file are listed. */
const FAULTS_SHOWN = 8;

/** A file that was not taken, and why. */
export function Refused({ name, problems }: { name: string; problems: readonly Problem[] }) {
  return (
    <div role="alert" className="border-s-4 border-danger ps-3">
      <p>
        <b className="text-danger">“{name}” was not opened, and nothing has changed.</b>
      </p>
      <ul className="mt-1 space-y-1">
        {problems.slice(0, FAULTS_SHOWN).map(({ path, message }) => (
          <li key={`${path}${message}`}>
            {path !== '' && <code className="num">{path}: </code>}
            {message}
          </li>
        ))}
        {problems.length > FAULTS_SHOWN && <li>and {problems.length - FAULTS_SHOWN} more.</li>}
      </ul>
    </div>
  );
}
