declare module 'color-name' {
  const colours: Readonly<Record<string, readonly [number, number, number]>>;
  export default colours;
}
