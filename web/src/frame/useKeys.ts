import { useEffect, useRef } from 'react';

/**
 * Keys of a view. Plain keys rest while something is typed; keys with control or command do not. A key that a control has taken, as
 * tabs take arrows, is not the view's.
 */
export function useKeys(keys: Record<string, (e: KeyboardEvent) => void>) {
  const latest = useRef(keys);
  useEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const pressed = (e: KeyboardEvent) => {
      const control = e.ctrlKey || e.metaKey;
      const name = `${control ? 'ctrl+' : ''}${control && e.shiftKey ? 'shift+' : ''}${e.key.length === 1 ? e.key.toLowerCase() : e.key}`;
      const act = latest.current[name];
      const typing = e.target instanceof HTMLElement && e.target.matches('input, textarea, select, [contenteditable]');
      // While typing, undo belongs to the text field; arrows and letters do too.
      if (
        !act ||
        e.defaultPrevented ||
        document.querySelector('.modal.show') ||
        (typing && (!control || name.endsWith('z') || name.endsWith('y')))
      )
        return;
      e.preventDefault();
      act(e);
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
}
