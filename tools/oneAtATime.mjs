// @ts-check
import { spawn } from 'node:child_process'

/**
 * Takes a lock that the kernel holds for us: it ends with this process however that ends, so that no lock is ever
 * stale. Resolves to what gives it back, or to undefined where others have it for longer than we wait.
 * @param {string} file @param {number} seconds @returns {Promise<(() => void) | undefined>}
 */
export const oneAtATime = (file, seconds) =>
  new Promise((resolve, reject) => {
    // It holds the lock until our end of the pipe is shut, by us or by the kernel.
    const holder = spawn('flock', ['-w', String(seconds), file, 'sh', '-c', 'echo locked; exec cat >/dev/null'], {
      cwd: '/',
      // Out of reach of a Ctrl-C: it ends when we do, not before.
      detached: true,
      stdio: ['pipe', 'pipe', 'ignore'],
    })
    holder.on('error', reject)
    holder.on('exit', () => resolve(undefined))
    holder.stdout.once('data', () => {
      // It must not keep a process alive that has nothing else to do.
      holder.unref()
      resolve(() => holder.stdin.end())
    })
  })
