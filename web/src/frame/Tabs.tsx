import { useId, type ReactNode } from 'react';
import { Nav, Tab } from 'react-bootstrap';

/** What a panel is chosen by, and what its tab says. */
export type TabOf<K extends string> = readonly [key: K, words: string];

/**
 * Panels of which one is shown, chosen by their tabs. The tabs are one stop of the Tab key; arrows go from one to the next and show
 * its panel. Made of the library's own, so that assistive technology is told what belongs to what.
 */
export function Tabs<K extends string>({
  label,
  tabs,
  here,
  onHere,
  className,
  children,
}: {
  label: string;
  tabs: readonly TabOf<K>[];
  here: K;
  onHere: (key: K) => void;
  className?: string;
  /** The panel of the tab that is chosen. */
  children: ReactNode;
}) {
  const id = useId();
  return (
    <Tab.Container id={id} activeKey={here} onSelect={(key) => key !== null && onHere(key as K)} transition={false}>
      <Nav bsPrefix="views" className={className} aria-label={label}>
        {tabs.map(([key, words]) => (
          <Nav.Link key={key} bsPrefix="view" as="button" type="button" eventKey={key} className={key === here ? 'here' : ''}>
            {words}
          </Nav.Link>
        ))}
      </Nav>
      <Tab.Pane bsPrefix="panel" eventKey={here} tabIndex={-1}>
        {children}
      </Tab.Pane>
    </Tab.Container>
  );
}
