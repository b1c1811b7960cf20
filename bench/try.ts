import { houseSchema, machineBodySchema } from '@pondu/core/schema';
import { makeTracer, run, complaintOf } from './tracing.ts';
import { POLICIES } from './policies.ts';
const house = houseSchema.parse({});
const machine = machineBodySchema.parse({ name:'x', kind:'car', fitOut:{layout:'battery-points',volts:12,earth:'negative',cylinders:6,ballast:'external',fused:true,compressionRatio:8}});
const T=makeTracer(machine,house);
const N=Number(process.argv[2]??3);
const pol=process.argv[3]? [process.argv[3] as any]:POLICIES;
const ms:number[]=[];
for(const policy of pol){
 let right=0,n=0,checks=0,min=0;const wrong:string[]=[];
 for(const f of T.model.faults){ 
  if(/-(2|3|4|5)\./.test(f.id)) continue;
  const c=complaintOf(T,f);
  for(let k=0;k<N;k++){const r=run(T,c,f,1000*k+T.model.faults.indexOf(f),policy);n++;checks+=r.checks;min+=r.minutes;if(r.right)right++;else wrong.push(`${c.symptom} ${f.id} -> ${r.named} (${r.checks})`); if(policy==='cheapest information') ms.push(...r.recommendMs);}}
 console.log(policy,'right',(right/n).toFixed(4),'checks',(checks/n).toFixed(2),'min',(min/n).toFixed(2));
 if(policy==='cheapest information'){ const t=new Map<string,number>(); wrong.forEach(w=>t.set(w,(t.get(w)??0)+1)); [...t].sort((a,b)=>b[1]-a[1]).slice(0,40).forEach(([w,k])=>console.log('   ',k,w));}
}
ms.sort((a,b)=>a-b);if(ms.length)console.log('ms median',ms[ms.length>>1]!.toFixed(1),'p95',ms[Math.floor(ms.length*.95)]!.toFixed(1));
