import { payingWays } from './src/core/numbers/coins.ts';
const purse=Object.fromEntries([...Array(40)].map((_,i)=>[String(i+1),25]));
let t=performance.now(); payingWays(purse,500,0); console.log('count',performance.now()-t);
t=performance.now(); const r=payingWays(purse,500,20); console.log('list',performance.now()-t, r.list.length, String(r.ways));
t=performance.now(); payingWays({1:500,2:300,5:200},500,20); console.log('1000 coins',performance.now()-t);
t=performance.now(); payingWays({7:100000,11:100000,13:99999},100000,1000); console.log('big',performance.now()-t);
