import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { TOOLS } from './tools';

interface Props {
  label: string;
  value: Schemas['MeasuringTool'];
  /** Whether a further tool can be added here. */
  more: boolean;
  onChoose: (tool: Schemas['MeasuringTool'] | 'another') => void;
}

/** The tool that a line of readings was taken with. */
export function ToolChoice({ label, value, more, onChoose }: Props) {
  return (
    <Form.Select
      size="sm"
      className="tool"
      aria-label={label}
      value={value}
      onChange={(e) => onChoose(e.target.value as Schemas['MeasuringTool'] | 'another')}
    >
      {Object.entries(TOOLS).map(([kind, name]) => (
        <option key={kind} value={kind}>
          {name}
        </option>
      ))}
      {more && <option value="another">also with …</option>}
    </Form.Select>
  );
}
