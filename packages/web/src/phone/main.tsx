import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { PhonePage } from './PhonePage.tsx';
import { applyKeptTheme } from '../shared/ui/useTheme.ts';
import '../styles.css';

applyKeptTheme();
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <PhonePage />
  </StrictMode>,
);
