import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    // The budget is 350 kB gzip for the first load; an end-to-end test keeps it.
    chunkSizeWarningLimit: 600,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'react', test: /node_modules[\\/](react|react-dom|scheduler|react-router)[\\/]/ },
            { name: 'antd', test: /node_modules[\\/](antd|@ant-design|@rc-component|rc-[a-z-]+)[\\/]/ },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': process.env.GREYPEBBLE_API ?? 'http://127.0.0.1:8080' } },
  // Tests clean up after themselves, so that one page serves them all.
  test: { environment: 'happy-dom', isolate: false },
});
