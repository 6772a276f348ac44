/** `npm run pictures`: draws the demo school's pictures as WebP from their SVG, and notes their hashes and sizes. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { chromium, setUp } from './setup.mjs';

setUp();
const executablePath = chromium();
const { chromium: launcher } = await import('@playwright/test');
const browser = await launcher.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] });
const folder = 'demo/pictures';
const fonts = 'node_modules/@fontsource-variable/atkinson-hyperlegible-next/files';
const font = readFileSync(`${fonts}/atkinson-hyperlegible-next-latin-wght-normal.woff2`).toString('base64');
const style = `<style>@font-face{font-family:'Atkinson Hyperlegible Next';src:url(data:font/woff2;base64,${font});font-weight:200 800}</style>`;
const page = await browser.newPage();
const noted = {};
for (const file of readdirSync(folder).filter((name) => name.endsWith('.svg'))) {
  const name = file.replace('.svg', '');
  const svg = readFileSync(`${folder}/${file}`, 'utf8').replace(/(<svg[^>]*>)/, `$1${style}`);
  const drawn = await page.evaluate(async (source) => {
    const image = new Image();
    image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(source)}`;
    await image.decode();
    const canvas = document.createElement('canvas');
    const [width, height] = /viewBox="0 0 (\d+) (\d+)"/.exec(source).slice(1).map(Number);
    Object.assign(canvas, { width, height });
    // The first drawing may come before the font inside the picture is ready.
    await new Promise((resolve) => setTimeout(resolve, 300));
    canvas.getContext('2d').drawImage(image, 0, 0, width, height);
    return { width, height, address: canvas.toDataURL('image/webp', 0.92) };
  }, svg);
  const bytes = Buffer.from(drawn.address.split(',')[1], 'base64');
  const hash = createHash('sha256').update(bytes).digest('hex');
  writeFileSync(`${folder}/${name}.webp`, bytes);
  noted[name] = { hash, width: drawn.width, height: drawn.height };
  console.log(`${name}: ${bytes.length} bytes`);
}
writeFileSync(`${folder}/pictures.json`, `${JSON.stringify(noted, null, 2)}\n`);
await browser.close();
