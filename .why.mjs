import { build } from 'esbuild';
const [entry,target]=process.argv.slice(2);
const r=await build({entryPoints:[entry],bundle:true,metafile:true,write:false,format:'esm',splitting:true,outdir:'/tmp/x',alias:{'@':'/work/main/src'},loader:{'.webp':'file','.svg':'file','.woff2':'file'}});
const I=r.metafile.inputs;
// kept imports only
const parents={};for(const [f,i] of Object.entries(I))for(const m of i.imports)if(m.kind!=='dynamic-import')(parents[m.path]??=[]).push(f);
// BFS from entry
const prev={[entry]:null};const q=[entry];const targets=[];
while(q.length){const f=q.shift();for(const m of I[f]?.imports??[])if(m.kind!=='dynamic-import'&&!(m.path in prev)&&I[m.path]){prev[m.path]=f;q.push(m.path)}}
console.log('importers of',target,':',(parents[target]||[]).filter(p=>p in prev).join('\n   '));
for(const p of (parents[target]||[]).filter(p=>p in prev)){let c=p,s=[];while(c){s.push(c.replace('src/',''));c=prev[c]}console.log(s.reverse().join(' > '))}
