'use client';

import { formatDistanceToNow } from 'date-fns';
import { useState } from 'react';
import { connectFolder, leaveFolder, useFolder, type Folder } from '@/data/folder';
import { Field } from '@/ui/Field';
import { stepWords } from './folderWords';
import { useFolderStep } from './useFolderStep';

declare global {
  interface Window {
    showDirectoryPicker?: (options: { id: string; mode: 'readwrite' }) => Promise<FileSystemDirectoryHandle>;
  }
  interface FileSystemHandle {
    queryPermission?: (options: { mode: 'readwrite' }) => Promise<PermissionState>;
    requestPermission?: (options: { mode: 'readwrite' }) => Promise<PermissionState>;
  }
}

/** A folder that several devices keep in step: each writes its own journal there and reads the others’. */
export function FolderStep({ busy }: { busy: boolean }) {
  const folder = useFolder();
  if (folder === undefined) return null;
  if (typeof window === 'undefined' || window.showDirectoryPicker === undefined)
    return (
      <p className="text-[14px] text-ink2">
        This browser cannot keep a folder open. Save a file, and merge it on the other device.
      </p>
    );
  return folder === null ? <Connect busy={busy} /> : <Kept folder={folder} busy={busy} />;
}

function Connect({ busy }: { busy: boolean }) {
  const [name, setName] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const { step } = useFolderStep();
  const connect = async (): Promise<void> => {
    if (name.trim() === '') {
      setFault('Give this device a name: the others call it by that.');
      return;
    }
    try {
      const handle = await window.showDirectoryPicker?.({ id: 'aetas', mode: 'readwrite' });
      if (handle === undefined) return;
      await connectFolder(handle, name.trim().slice(0, 60));
      await step(true);
    } catch (error) {
      // Whoever closes the picker has said no.
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        setFault(`The folder could not be opened: ${error instanceof Error ? error.message : 'unknown fault'}`);
    }
  };
  return (
    <div className="flex flex-wrap items-end gap-4">
      <Field id="device-name" label="This device is called" error={fault ?? undefined}>
        <input
          id="device-name"
          className="box w-[220px]"
          autoComplete="off"
          maxLength={60}
          placeholder="kitchen phone"
          value={name}
          onChange={(event) => {
            setName(event.target.value);
            setFault(null);
          }}
        />
      </Field>
      <button type="button" className="act" disabled={busy} onClick={() => void connect()}>
        Choose the folder
      </button>
    </div>
  );
}

function Kept({ folder, busy }: { folder: Folder; busy: boolean }) {
  const { state, step } = useFolderStep();
  const stepNow = async (): Promise<void> => {
    // After a restart the browser asks once more.
    if ((await folder.handle.requestPermission?.({ mode: 'readwrite' })) === 'denied') return;
    await step(true);
  };
  return (
    <div>
      <p>
        <b>{folder.handle.name || 'The folder'}</b>, as “{folder.name}”.{' '}
        <span className="text-ink2">
          {folder.lastMs === null
            ? 'Not read yet.'
            : `Brought up to date ${formatDistanceToNow(folder.lastMs, { addSuffix: true })}.`}
        </span>
      </p>
      <div className="mt-2 flex flex-wrap gap-x-5 gap-y-2">
        <button type="button" className="act" disabled={busy || state.kind === 'busy'} onClick={() => void stepNow()}>
          Bring it up to date now
        </button>
        <button type="button" className="act-plain" onClick={() => void leaveFolder()}>
          Leave the folder
        </button>
      </div>
      {state.kind === 'busy' && (
        <p className="mt-2" aria-busy="true">
          Reading the journals.
        </p>
      )}
      {state.kind === 'failed' && (
        <p role="alert" className="mt-2 border-s-4 border-danger ps-3">
          The folder could not be read or written: {state.words} Nothing here has changed. See that it is there, then
          try again.
        </p>
      )}
      {state.kind === 'done' && (
        <div role="status" className="mt-2 border-s-4 border-chem ps-3">
          <p>{stepWords(state.report)}</p>
          {state.report.aside.map(({ name, why }) => (
            <p key={name} className="text-danger">
              “{name}” is set aside: {why}
            </p>
          ))}
        </div>
      )}
    </div>
  );
}
