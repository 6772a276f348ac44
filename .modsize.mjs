import { build } from 'esbuild';
const entry = process.argv[2];
const r = await build({ entryPoints:[entry], bundle:true, metafile:true, write:false, minify:true, format:'esm', outdir:'/tmp/x', splitting:true, alias:{'@':'/work/main/src'}, target:'es2022', loader:{'.webp':'file','.svg':'file','.woff2':'file'} });
for (const [out,o] of Object.entries(r.metafile.outputs)) {
  if (!o.entryPoint && !process.argv[3]) continue;
  console.log(out, o.entryPoint, o.bytes, 'imports', o.imports.filter(i=>i.kind!=='dynamic-import').length);
}
// static reach from entry output
const outs=r.metafile.outputs; const main=Object.entries(outs).find(([k,o])=>o.entryPoint && entry.endsWith(o.entryPoint))[0];
const seen=new Set(); const go=k=>{if(seen.has(k))return;seen.add(k);for(const i of outs[k].imports)if(i.kind!=='dynamic-import'&&outs[i.path])go(i.path)};go(main);
const by={};let tot=0;for(const k of seen)for(const [f,{bytesInOutput:b}] of Object.entries(outs[k].inputs)){by[f]=(by[f]||0)+b;tot+=b}
console.log('static total',tot,'chunks',seen.size);
const grp={};for(const [f,b] of Object.entries(by)){const g=f.includes('node_modules')?f.replace(/.*node_modules\/((@[^/]+\/)?[^/]+).*/,'nm:$1'):f.split('/').slice(0,4).join('/');grp[g]=(grp[g]||0)+b}
console.log(Object.entries(grp).sort((a,b)=>b[1]-a[1]).slice(0,30).map(x=>x[1]+' '+x[0]).join('\n'));
console.log('---');console.log(Object.entries(by).filter(x=>!x[0].includes('node_modules')).sort((a,b)=>b[1]-a[1]).slice(0,60).map(x=>x[1]+' '+x[0]).join('\n'));
