import { execFileSync } from 'node:child_process';

/** Memory that the browser's pages hold, MB. */
export function rendererMb() {
  const lines = execFileSync('ps', ['-eo', 'rss=,args='], { encoding: 'utf8' }).split('\n');
  const kB = lines.filter((line) => line.includes('--type=renderer')).map((line) => Number(line.trim().split(' ')[0]));
  return kB.reduce((sum, one) => sum + one, 0) / 1024;
}

/**
 * Watches the memory of the browser's pages, ten times a second.
 * @returns ends it, and answers how much more they held at the most than at its beginning, MB
 */
export function watchMemory() {
  const before = rendererMb();
  let most = before;
  const timer = setInterval(() => (most = Math.max(most, rendererMb())), 100);
  return () => {
    clearInterval(timer);
    return most - before;
  };
}
