import { chromium } from 'playwright-core';
import { serve } from '/work/main/tools/serve';
process.env['NERITE_SAMPLE']='1';
const port=4611; const base=`http://127.0.0.1:${port}`; const server=await serve(port);
const browser=await chromium.launch({executablePath:'/usr/bin/chromium-headless-shell'});
const size=(process.env['SIZE']??'1280x800').split('x').map(Number);
const context=await browser.newContext({viewport:{width:size[0]!,height:size[1]!},acceptDownloads:true});
await context.addInitScript('globalThis.__name ??= (f) => f');
const page=await context.newPage(); page.setDefaultTimeout(30000);
page.on('console',m=>m.type()==='error'&&console.log('console:',m.text())); page.on('pageerror',e=>console.log('pageerror:',e.message));
const shot=async(n:string)=>{await page.screenshot({path:`/tmp/shots/${n}.png`});console.log('shot',n);};
const run=(await import(process.argv[2]!)).default;
try{ await run({page,base,shot,context}); }catch(e){console.log('failed',e);await shot('failed');}
await browser.close(); server.close(); process.exit();
