export { BenchModePage } from './BenchModePage.tsx';
