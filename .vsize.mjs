import { build } from 'vite';
const entry=process.argv[2];
const r = await build({ configFile:false, logLevel:'error', resolve:{alias:{'@':'/work/main/src'}}, worker:{format:"es"},build:{write:false,minify:true,target:'es2022',assetsInlineLimit:0,rollupOptions:{input:entry,output:{format:'es'}}, modulePreload:false}});
const out=r.output; const map=Object.fromEntries(out.map(c=>[c.fileName,c]));
const main=out.find(c=>c.isEntry);
const seen=new Set();const go=f=>{if(seen.has(f))return;seen.add(f);map[f].imports.forEach(go)};go(main.fileName);
let tot=0;const g={};const by={};
import {brotliCompressSync} from 'node:zlib';
let br=0;
for(const f of seen){br+=brotliCompressSync(Buffer.from(map[f].code)).length;tot+=map[f].code.length;for(const [m,i] of Object.entries(map[f].modules)){const k=m.includes('node_modules')?m.replace(/.*node_modules\/((@[^/]+\/)?[^/]+).*/,'nm:$1'):m.replace('/work/main/','').split('/').slice(0,4).join('/');g[k]=(g[k]||0)+i.renderedLength;by[m]=i.renderedLength}}
console.log(entry,'min',tot,'br11',br,[...seen].map(f=>f+' '+map[f].code.length).join(', '));
console.log(Object.entries(g).sort((a,b)=>b[1]-a[1]).slice(0,24).map(x=>x[1]+' '+x[0]).join('\n'));
console.log(Object.entries(by).filter(x=>x[0].includes('node_modules/zod')).sort((a,b)=>b[1]-a[1]).slice(0,20).map(x=>x[1]+' '+x[0].replace(/.*node_modules/,'')).join('\n'));
