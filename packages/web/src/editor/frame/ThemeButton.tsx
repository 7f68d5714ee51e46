import { Moon, Sun } from 'lucide-react';
import { useState } from 'react';
import { SignButton } from '../../ui/Button';

/** Light or dark; remembered in this browser. */
export function ThemeButton() {
  const [theme, setTheme] = useState(document.documentElement.dataset.theme ?? 'light');
  const other = theme === 'dark' ? 'light' : 'dark';
  const choose = () => {
    document.documentElement.dataset.theme = other;
    localStorage.setItem('noria-theme', other);
    setTheme(other);
  };
  const Sign = other === 'dark' ? Moon : Sun;
  return (
    <SignButton name={`Use the ${other} theme`} onClick={choose}>
      <Sign size={16} strokeWidth={1.6} aria-hidden />
    </SignButton>
  );
}
