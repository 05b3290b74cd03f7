import { fireEvent, render, screen } from '@testing-library/react-native';
import { PaperProvider } from 'react-native-paper';
import { NumberField } from './NumberField';

const onChange = jest.fn();
const field = (value = 6) => (
  <PaperProvider>
    <NumberField
      label="Length"
      unit="m"
      value={value}
      low={2}
      high={40}
      length="metric"
      onChange={onChange}
      testID="length"
    />
  </PaperProvider>
);
const type = (text: string): void => {
  fireEvent.changeText(screen.getByTestId('length'), text);
  fireEvent(screen.getByTestId('length'), 'blur');
};

beforeEach(() => onChange.mockReset());

describe('a number field', () => {
  it('says what can be, takes nothing, and takes the correction when it is left', () => {
    render(field());
    type('400');
    expect(screen.getByRole('alert')).toHaveTextContent(/40/);
    expect(onChange).not.toHaveBeenCalled();
    type('4.5');
    expect(onChange).toHaveBeenCalledWith(4.5);
    expect(screen.queryByRole('alert')).toBeNull();
  });
  it('asks once about a number that looks like feet, and takes it when it is entered again', () => {
    render(field());
    type('19.7');
    expect(screen.getByRole('alert')).toHaveTextContent(/feet|ft/i);
    expect(onChange).not.toHaveBeenCalled();
    fireEvent(screen.getByTestId('length'), 'submitEditing');
    expect(onChange).toHaveBeenCalledWith(19.7);
  });
  it('shows what another hand has set, and forgets what was wrong', () => {
    const { rerender } = render(field());
    type('400');
    rerender(field(9));
    expect(screen.getByTestId('length').props.value).toBe('9');
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
