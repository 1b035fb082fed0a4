/** In place of packages that others would load and nothing here uses: see vite.config.ts. */
export default {};
