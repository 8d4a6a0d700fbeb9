import { nastyStudio } from './tests/nasty/documents';
import { cutBoard } from './src/core/geometry/index';
import { holesOf } from './src/core/document/index';
import { aged } from './src/core/cure/index';
import * as P from './src/core/plan/index';
const s=nastyStudio(Number(process.argv[2]??5)); const p=s.pieces[0]!;
console.log(JSON.stringify(s.resins), JSON.stringify(s.method), s.rooms[0]!.dayC);
for(const r of s.resins){const t=performance.now(); aged(r,s.method.activationEa); console.log('aged',performance.now()-t);}
const t=performance.now(); const cut=cutBoard(p.shape,holesOf(p),p.sea); console.log('cut',performance.now()-t);
const site=P.siteOf(p,cut,s.method); console.log('site'); P.buildUpOf({site} as any); console.log('buildup');
