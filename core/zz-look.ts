import { readFileSync } from 'node:fs';
import { pairScaleOf } from './pairing/library';
import { orderPartners } from './pairing/order';
import { testUse } from './pairing/testing/library';
const lib = JSON.parse(readFileSync('/tmp/w/library.json','utf8'));
const scale = pairScaleOf(lib, testUse(17));
const of=(k:string)=>lib.find((p:any)=>p.key===k);
for (const a of process.argv.slice(2)) { const [role,key,n]=a.split(':') as any;
 const o = role==='h'? orderPartners({heading:of(key)},'text',lib,scale): orderPartners({text:of(key)},'heading',lib,scale);
 console.log('==',role==='h'?'text for':'heading for',key);
 o.slice(0,Number(n||30)).forEach((p,i)=>console.log(String(i+1).padStart(2),p.key.padEnd(24),p.score.toFixed(2), p.unfit, p.reasons.map((r:any)=>`${r.term} ${r.weight.toFixed(2)}`).join(' ')));
}
