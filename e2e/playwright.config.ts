import { defineConfig } from '@playwright/test'

const root = process.getuid?.() === 0

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  workers: 2,
  fullyParallel: false,
  retries: 0,
  timeout: 90_000,
  expect: { timeout: 10_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        ...(root ? ['--no-sandbox'] : []),
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        // a tablet reaches the darkroom over plain http under a name of its own
        '--host-resolver-rules=MAP darkroom.test 127.0.0.1',
      ],
      // scroll bars are part of what safelight must keep red
      ignoreDefaultArgs: ['--hide-scrollbars'],
    },
  },
})
