import { houseSchema, machineBodySchema } from '@pondu/core/schema';
import { makeTracer, run, complaintOf } from './tracing.ts';
const house = houseSchema.parse({});
const machine = machineBodySchema.parse({ name:'x', kind:'car', fitOut:{layout:'battery-points',volts:12,earth:'negative',cylinders:6,ballast:'external',fused:true,compressionRatio:8}});
const T=makeTracer(machine,house);
const [id,k0,k1]=[process.argv[2]!,Number(process.argv[3]??0),Number(process.argv[4]??1)];
const f=T.model.faults.find(f=>f.id===id)!; const c=complaintOf(T,f);
const orig=T.verdict.bind(T);
(T as any).verdict=(b:any,...r:any[])=>{const v=(orig as any)(b,...r);const l=b.story.readings.at(-1)?.reading;const top=[...b.weighed].sort((a:any,b:any)=>b.mass-a.mass).slice(0,4);console.log('  ',l?.checkId??'-',l?(l.value.word??l.value.value?.toPrecision(4)??'OL'):'',' | ',top.map((w:any)=>w.id+' '+w.mass.toFixed(3)).join(', '),'out',b.outside.toFixed(3),v.kind);return v};
for(let k=k0;k<k1;k++){const r=run(T,c,f,1000*k+T.model.faults.indexOf(f),'cheapest information');console.log(k,c.symptom,r.right?'RIGHT':'WRONG',r.named,r.checks,r.minutes.toFixed(1));}
