import assert from 'node:assert/strict';
import { test } from 'node:test';
import {
  becauseOf,
  beginBy,
  compare,
  firstDates,
  freeIn,
  Maker,
  readNight,
  readSpans,
  sayMinutes,
  sayObstacle,
  sayOdd,
  sayPromise,
  saySession,
  suggestionsFor,
  todayOf,
  writeSpans,
  type Session,
} from '#core/calendar';
import { withLying } from '#core/edit';
import { Zone } from '#core/air';
import type { Piece } from '#core/document';
import { airs, coated, empty, piece, pourOf, sample, the, utc } from '../../factories';
import { asked, DAY, entry, everyDay, HOUR, MINUTE, NOW, planned } from './help';

const due = (on: string, change: Partial<Piece> = {}): Piece => piece({ dueOn: on, ...change });
const kinds = (sessions: Session[]): string => sessions.map((s) => s.kind).join(' ');
const at = (ms: number): string => new Date(ms).toISOString().slice(5, 16);

test('a new panel: sanded and primed coat by coat, set up, poured, looked at, and handed over when it is hard', () => {
  const { calendar } = planned(asked([due('2026-12-24')]));
  const own = calendar.sessions;
  assert.match(kinds(own), /^prepare prepare prepare (prepare )*pour check.* deliver$/);
  assert.deepEqual(
    own.slice(0, 3).map((s) => saySession(s)),
    ['Sand, gesso coat 1', 'Gesso coat 2', 'Gesso coat 3'],
  );
  // gesso takes an hour, ten minutes of it hands
  assert.ok(own[1]!.from - own[0]!.until >= 50 * MINUTE);
  const pours = own.filter((s) => s.kind === 'pour');
  for (const [i, pour] of pours.entries()) {
    const before = pours[i - 1];
    if (before) assert.ok(pour.from >= before.tacky!, 'not on a tacky film');
  }
  const last = pours.at(-1)!;
  // hard after 72 h at 23 °C
  assert.ok(own.at(-1)!.from - last.until >= 72 * HOUR);
  assert.equal(calendar.lanes[0]!.promise!.kept, true);
});

test('every option of a piece has its place: edge, surface, tape, what is brushed, several boards, a begun board', () => {
  const makes: Piece[] = [
    ...(['run over', 'taped', 'dammed', 'wall'] as const).map((edge) =>
      piece({ id: `edge-${edge.slice(0, 4).trim()}`, edge, ...(edge === 'wall' && { wallHeight: 12 }) }),
    ),
    piece({ id: 'tape-soft', edge: 'taped', tapeOff: 'while soft' }),
    piece({ id: 'four', count: 4 }),
    piece({ id: 'canvas', surface: { material: 'canvas', primer: 'none', primerCoats: 0 } }),
    piece({ id: 'slate', surface: { material: 'slate', primer: 'none', primerCoats: 0, underside: 'latex' } }),
    coated(piece({ id: 'brushed' }), { top: { brushed: { kind: 'wash', colour: '#557788' } } } as never),
  ];
  const begun = piece({ id: 'begun' });
  makes.push(withLying(begun, the(begun, 'wave').id, {}));
  for (const one of makes) {
    for (const count of [1, 3]) {
      const p = { ...one, count, dueOn: '2027-01-31' };
      const { calendar } = planned(asked([p], { diary: everyDay(9, 21) }));
      const [lane] = calendar.lanes;
      assert.equal(lane?.obstacle, undefined, `${p.id}: ${JSON.stringify(lane?.obstacle)}`);
      const own = kinds(calendar.sessions);
      assert.match(own, /pour.*deliver$/, p.id);
      assert.equal(own.includes('pull tape'), p.tapeOff === 'while soft', p.id);
      assert.equal(
        own.includes('brush'),
        p.coats.some((c) => c.brushed && !c.lies),
        p.id,
      );
      for (const s of calendar.sessions) {
        assert.ok(saySession(s).length > 3 && !/undefined|NaN/.test(saySession(s)), saySession(s));
        assert.ok(s.until > s.from);
      }
    }
  }
});

test('what a coat waits for is waited for: until the film no longer runs, until it opens, until it is hard', () => {
  const p = piece();
  const gap = (until: 'tacky' | 'recoat' | 'hard'): { hours: number; scuff: number } => {
    const sea = the(p, 'sea').id;
    const { calendar } = planned(asked([coated(p, { top: { waits: { coatId: sea, until } } })], { diary: everyDay(0, 24) }));
    const [first, second] = calendar.sessions.filter((s) => s.kind === 'pour') as [Session, Session];
    return { hours: (second.from - first.until) / HOUR, scuff: second.scuff };
  };
  const [tacky, recoat, hard] = [gap('tacky'), gap('recoat'), gap('hard')];
  assert.ok(tacky.hours < recoat.hours && tacky.hours >= 1, `${tacky.hours}`);
  // 6 h and 72 h at 23 °C
  assert.ok(recoat.hours >= 6 && recoat.hours < 6.5, `${recoat.hours}`);
  assert.ok(hard.hours >= 72 && hard.hours < 73, `${hard.hours}`);
  assert.deepEqual([tacky.scuff, recoat.scuff, hard.scuff > 0], [0, 0, true]);
});

test('over silicone the board is degreased, scuffed and sealed before the next pour; under a coat of seal it is not', () => {
  const p = coated(piece(), { wave: { additive: 'silicone' } });
  const { calendar } = planned(asked([p]));
  const all = calendar.sessions;
  const k = all.findIndex((s) => s.kind === 'degrease');
  assert.equal(saySession(all[k]!), 'Degrease, scuff and seal over the silicone');
  const after = all.slice(k).find((s) => s.kind === 'pour')!;
  // the sealer dries for three hours
  assert.ok(after.from - all[k]!.until >= 2.5 * HOUR);
  assert.ok(!kinds(planned(asked([piece()])).calendar.sessions).includes('degrease'));
});

test('hours are what is left once busy times are cut out; what is busy outside them takes nothing', () => {
  const h = (from: number, until: number): { from: number; until: number } => ({ from: from * HOUR, until: until * HOUR });
  assert.deepEqual(freeIn({ hours: [h(9, 12), h(14, 21)], busy: [h(15, 16), h(6, 10), h(15.5, 17), h(12, 14), h(22, 23)] }), [
    h(10, 12),
    h(14, 15),
    h(17, 21),
  ]);
  assert.deepEqual(freeIn({ hours: [h(9, 12)], busy: [h(8, 13)] }), []);
});

test('two that are poured together are one session with both boards; unlike ones are told apart, in a sentence', () => {
  const [a, b] = [piece({ id: 'a', name: 'Left' }), piece({ id: 'b', name: 'Right' })];
  const together = entry({ kind: 'together', pieceIds: ['a', 'b'] });
  const { calendar } = planned(asked([a, b], { diary: [together] }));
  const pours = calendar.sessions.filter((s) => s.kind === 'pour');
  assert.ok(pours.every((s) => s.pieceIds.length === 2));
  const alone = planned(asked([a, b])).calendar.sessions.filter((s) => s.kind === 'pour');
  assert.equal(alone.length, 2 * pours.length);
  assert.ok(pours[0]!.until - pours[0]!.begins < 2 * (alone[0]!.until - alone[0]!.begins), 'the waits of one are the work of another');
  const shorter = { ...b, coats: b.coats.slice(0, 2) };
  const apart = planned(asked([a, shorter], { diary: [together] })).calendar;
  assert.match(sayOdd(apart.odd[0]!, [a, b], utc), /^Left and Right cannot be poured together/);
});

test('hours, busy times, barred days and times without resin are kept to', () => {
  const guests = entry({ kind: 'no resin', what: 'guests', from: '2026-11-26T18:00:00Z', until: '2026-11-27T10:00:00Z' });
  const bedtime = entry({ kind: 'no resin weekly', what: 'bedtime', weekdays: [5], span: { from: 19 * 60, until: 7 * 60 } });
  const diary = [
    ...everyDay(18, 21),
    entry({ kind: 'day', on: '2026-11-25', spans: [] }),
    entry({ kind: 'busy', what: 'choir', from: '2026-11-26T18:00:00Z', until: '2026-11-26T19:30:00Z' }),
    guests,
    bedtime,
  ];
  const { calendar } = planned(asked([piece()], { diary }));
  for (const s of calendar.sessions) {
    const hour = new Date(s.from).getUTCHours();
    assert.ok(hour >= 18 && hour < 21, at(s.from));
    assert.notEqual(at(s.from).slice(0, 5), '11-25');
    assert.ok(s.from >= Date.parse('2026-11-26T19:30:00Z') || s.until <= Date.parse('2026-11-26T18:00:00Z'), at(s.from));
    if (s.kind !== 'pour') continue;
    for (const n of calendar.noResin) assert.ok(s.tacky! <= n.from || s.from >= n.until, `${at(s.from)} ${n.what}`);
  }
});

test('clocks that change: a night of 23 hours and one of 25 leave every film its own age', () => {
  for (const [day, zone] of [
    ['2026-03-28', 'CET'],
    ['2026-10-24', 'CET'],
  ] as const) {
    const now = Date.parse(`${day}T08:00:00Z`);
    const { calendar } = planned(asked([piece()], { now, zone, diary: everyDay(8, 12) }));
    const pours = calendar.sessions.filter((s) => s.kind === 'pour');
    for (const s of calendar.sessions) {
      const local = Number(new Zone(zone).civil(s.from).slice(11, 13));
      assert.ok(local >= 8 && local < 12, new Zone(zone).civil(s.from));
    }
    assert.ok(pours.length > 1);
  }
});

test('what was done is not asked for again, what dries is waited for, and a pour that lies opens the next', () => {
  const p = piece();
  const did = (work: string, at: number) => entry({ kind: 'did', operation: `${p.id}/${work}`, at: new Date(at).toISOString() });
  const { calendar } = planned(asked([p], { diary: [did('before-sand', NOW - HOUR), did('before-gesso-1', NOW - 10 * MINUTE)] }));
  assert.equal(saySession(calendar.sessions[0]!), 'Gesso coat 2');
  assert.ok(calendar.sessions[0]!.from >= NOW + 40 * MINUTE, at(calendar.sessions[0]!.from));

  const pour = pourOf(p, new Date(NOW - 10 * HOUR).toISOString(), [
    [1, { kind: 'mixed', batch: 0 }],
    [40, { kind: 'done' }],
  ]);
  const lying = planned(asked([p], {}, [pour])).calendar;
  assert.ok(lying.sessions.every((s) => s.kind !== 'prepare'));
  const next = lying.sessions.find((s) => s.kind === 'pour')!;
  assert.equal(next.pour, 1);
  assert.equal(next.scuff, 0);
});

test('a board that was just poured is looked at while it is wet, once; one that is being poured opens the next after that', () => {
  const p = piece({ edge: 'taped', tapeOff: 'while soft' });
  const pour = pourOf(p, new Date(NOW - HOUR).toISOString(), [
    [1, { kind: 'mixed', batch: 0 }],
    [40, { kind: 'done' }],
  ]);
  const [look] = planned(asked([p], {}, [pour])).calendar.sessions;
  assert.equal(look!.kind, 'check');
  assert.ok(look!.from < NOW + 3 * HOUR);
  const seen = entry({ kind: 'did', operation: look!.id, at: new Date(NOW).toISOString() });
  assert.ok(planned(asked([p], { diary: [seen] }, [pour])).calendar.sessions.every((s) => s.id !== look!.id));
  const under = pourOf(p, new Date(NOW - 10 * MINUTE).toISOString(), [[1, { kind: 'mixed', batch: 0 }]]);
  const { calendar } = planned(asked([p], {}, [under]));
  const next = calendar.sessions.find((s) => s.kind === 'pour')!;
  assert.ok(next.from >= NOW + 5 * HOUR, at(next.from));
  assert.ok(calendar.sessions[0]!.from >= NOW + 10 * MINUTE, 'hands are at the bench until it is done');
});

test('a pinned coat is held, one that is past is said, and two that contradict are said; the pins stay', () => {
  const p = piece();
  const first = planned(asked([p])).calendar.sessions.find((s) => s.kind === 'pour')!;
  const pin = (ms: number, id = first.id) => entry({ kind: 'pin', operation: id, at: new Date(ms).toISOString() });
  const later = first.begins + 2 * DAY;
  const held = planned(asked([p], { diary: [pin(later)] })).calendar;
  const moved = held.sessions.find((s) => s.id === first.id)!;
  assert.equal(moved.begins, later);
  assert.equal(moved.pinned, true);
  const gone = planned(asked([p], { diary: [pin(NOW - 3 * DAY)] })).calendar;
  assert.match(sayOdd(gone.odd[0]!, [p], utc), /was held at Sun 22 Nov .*past/);
  const second = planned(asked([p])).calendar.sessions.filter((s) => s.kind === 'pour')[1]!;
  const both = asked([p], { diary: [pin(later), pin(later - HOUR, second.id)] });
  assert.deepEqual(planned(both).calendar.unpinned, [second.id]);
  assert.equal(both.diary.length, 2);
  const day = planned(asked([{ ...p, pourAt: new Date(later).toISOString() }])).calendar;
  assert.equal(day.sessions.find((s) => s.id === first.id)!.begins, later);
});

test('what stands in the way is a sentence: no hours, hours too short, a place too small, a room too cold, guests for ever', () => {
  const says = (change: Parameters<typeof asked>[1], p = due('2026-12-12')): string => {
    const [lane] = planned(asked([p], change)).calendar.lanes;
    assert.equal(lane!.promise!.kept, false);
    assert.equal(sayPromise(lane!.promise!), 'cannot be planned');
    return sayObstacle(lane!.obstacle!, 'the loft');
  };
  const rooms = asked([]).rooms;
  assert.match(
    says({ diary: Array.from({ length: 7 }, (_, weekday) => entry({ kind: 'hours', weekday, spans: [] })) }),
    /You have no hours/,
  );
  assert.match(says({ diary: everyDay(18, 18.25) }), /longest stretch in 90 days is 15 min/);
  assert.match(
    says({ rooms: [{ ...rooms[0]!, places: [{ id: 'x', name: 'shelf', length: 200, width: 200, covered: true }] }] }),
    /No place in the loft/,
  );
  assert.match(says({ rooms: [{ ...rooms[0]!, dayC: 8, nightC: 6 }] }), /too cold/);
  assert.match(says({ rooms: [{ ...rooms[0]!, humidity: 0.95 }] }), /dry enough/);
  const always = entry({
    kind: 'no resin weekly',
    what: 'a child sleeps',
    weekdays: [0, 1, 2, 3, 4, 5, 6],
    span: { from: 0, until: 1439 },
  });
  assert.match(says({ diary: [always] }), /resin may be out/);
  const bars = Array.from({ length: 95 }, (_, i) =>
    entry({ kind: 'day', on: new Date(NOW + i * DAY).toISOString().slice(0, 10), spans: [] }),
  );
  assert.match(says({ diary: bars }), /You have no hours/);
});

test('a due date that is past is late, and the plan is made all the same', () => {
  const { calendar } = planned(asked([due('2026-11-01')]));
  const promise = calendar.lanes[0]!.promise!;
  assert.equal(promise.kept, false);
  assert.match(sayPromise(promise), /^\d+ days late$/);
});

test('why not sooner and how long it can wait, in words that name the piece and the day', () => {
  const [a, b] = [piece({ id: 'a', name: 'Left' }), piece({ id: 'b', name: 'Right' })];
  const plan = planned(asked([a, b], { diary: everyDay(9, 21) }));
  const all = plan.calendar.sessions.filter((s) => !s.follows).map((s) => becauseOf(plan, s.id)!);
  assert.ok(all.every((b) => b.notSooner.endsWith('.') && b.canWait.endsWith('.')));
  assert.ok(all.some((b) => /(Left|Right) has your hands until \d\d:\d\d/.test(b.notSooner)));
  assert.ok(all.some((b) => /the film below opens at/.test(b.notSooner)));
  assert.ok(all.some((b) => /After that drips or tape have set before you can see to them, 10 min more/.test(b.canWait)));
  const always = planned(asked([a], { diary: everyDay(0, 24) }));
  const second = always.calendar.sessions.filter((s) => s.kind === 'pour')[1]!;
  assert.match(becauseOf(always, second.id)!.canWait, /^17 h 45 min, until Thu 26 13:00\. After that it must be scuffed, 15 min more\.$/);
  assert.equal(becauseOf(plan, 'nothing/there'), undefined);
});

test('by when each must begin for a day, and none where that day cannot be held', () => {
  const plan = planned(asked([due('2026-12-24')]));
  const lasts = beginBy(plan, plan.asked.pieces[0]!.id, Date.parse('2026-12-25T00:00:00Z'));
  assert.ok(lasts.every((l, i) => l.at !== undefined && (i === 0 || l.at > lasts[i - 1]!.at!)));
  const never = beginBy(plan, plan.asked.pieces[0]!.id, NOW + DAY);
  assert.ok(never.some((l) => l.at === undefined));
});

test('suggestions were really planned: each gives the date it says, and a later date holds', () => {
  const maker = new Maker();
  const soft = asked([due('2026-11-29')], { rooms: [{ ...asked([]).rooms[0]!, dayC: 19, nightC: 16 }], benchC: 19 });
  const plan = planned(soft);
  const [lane] = plan.calendar.lanes;
  assert.equal(lane!.promise!.kept, false);
  const found = suggestionsFor(maker, plan, lane!.pieceId);
  const warm = found.find((s) => s.gives.kind === 'room')!;
  assert.match(warm.says, /kept at 21(\.0)? °C day and night/);
  assert.ok(warm.ready! < lane!.ready!);
  if (warm.gives.kind !== 'room') throw new Error('no room');
  const { heating } = warm.gives;
  const taken = planned({ ...soft, rooms: soft.rooms.map((r) => ({ ...r, heating })) });
  assert.equal(taken.calendar.lanes[0]!.ready, warm.ready);
  const later = found.at(-1)!;
  assert.equal(later.gives.kind, 'later');
  if (later.gives.kind !== 'later') throw new Error('no later day');
  const kept = planned({ ...soft, pieces: [due(later.gives.dueOn)] });
  assert.equal(kept.calendar.lanes[0]!.promise!.kept, true);
});

test('can I promise it: others moved is never later than others left alone, and colder never sooner', () => {
  const pieces = [piece({ id: 'a' }), piece({ id: 'b' }), piece({ id: 'c' })];
  const dates = firstDates(new Maker(), asked(pieces, { diary: everyDay(18, 20) }), 'c');
  assert.ok(dates.alone && dates.aloneCold && dates.moved && dates.movedCold);
  assert.ok(dates.moved <= dates.alone);
  assert.ok(dates.alone <= dates.aloneCold);
});

test('two plans by what changed', () => {
  const p = due('2026-12-24');
  const before = planned(asked([p])).calendar;
  const first = before.sessions.find((s) => s.kind === 'pour')!;
  const after = planned(
    asked([p], { diary: [entry({ kind: 'pin', operation: first.id, at: new Date(first.begins + DAY).toISOString() })] }),
  ).calendar;
  const { moved, promises } = compare(before, after);
  assert.ok(moved.some((m) => m.session.id === first.id && m.after! - m.before! === DAY));
  assert.equal(promises[0]!.kept, true);
  assert.deepEqual(compare(before, before).moved, []);
});

test('the sample studio: today says what is due, what is on the table with its age, and which window closes', () => {
  const studio = sample();
  const now = Date.parse('2026-11-25T13:36:00Z');
  const plan = planned({
    ...asked(studio.pieces, {}, studio.pours),
    diary: studio.diary!,
    resins: studio.resins,
    rooms: studio.rooms,
    settings: studio.settings,
    method: studio.method,
    colourants: studio.colourants,
    now,
  });
  const { standings } = plan.made;
  const today = todayOf(plan.calendar, standings, airs, now);
  assert.equal(today.dueNow, true);
  assert.ok(today.first);
  const tray = today.table.find((t) => t.piece.id === 'ferry-tray')!;
  assert.equal(tray.doing, 'tacky');
  assert.ok(tray.age > 1 && tray.age < tray.goal);
  // its window closes on a working day; the last hour for it is on the evening before, with time left for the pour
  const closes = today.closing.find((c) => c.pieceId === 'ferry-tray')!;
  assert.ok(closes.last! <= closes.until);
  assert.ok(
    plan.calendar.hours.some((h) => closes.last! >= h.from && closes.last! < h.until),
    at(closes.last!),
  );
  assert.ok(today.next.every((s) => s.from < now + 3 * DAY));
  // the first two hours of the artist's own in which nothing is planned
  const { from, until } = today.free!;
  assert.ok(until - Math.max(from, now) >= 2 * HOUR);
  assert.ok(plan.calendar.hours.some((h) => h.from <= from && until <= h.until));
  assert.ok([...plan.calendar.busy, ...plan.calendar.sessions].every((s) => s.until <= from || s.from >= until));
});

test('a clock set back by a day: what was done lies in what is to come, and the plan is right all the same', () => {
  const p = due('2026-12-24');
  const pour = pourOf(p, new Date(NOW).toISOString(), [
    [1, { kind: 'mixed', batch: 0 }],
    [40, { kind: 'done' }],
  ]);
  const did = entry({ kind: 'did', operation: `${p.id}/before-sand`, at: new Date(NOW).toISOString() });
  const back = planned(asked([p], { now: NOW - DAY, diary: [did] }, [pour]));
  const next = back.calendar.sessions.find((s) => s.kind === 'pour')!;
  assert.ok(next.from >= NOW + HOUR, 'not before the film that was laid is open');
  const today = todayOf(back.calendar, back.made.standings, airs, NOW - DAY);
  assert.ok(today.table.every((t) => t.age === 0));
  const fresh = planned(asked([p], { now: NOW - DAY, diary: [did] })).calendar;
  assert.ok(fresh.sessions[0]!.from >= NOW - DAY);
});

test('hours as they are typed, and written back', () => {
  const reads = (text: string): string => {
    const read = readSpans(text);
    return read.ok ? writeSpans(read.spans) : read.says;
  };
  assert.equal(reads('9-12, 14:30–18'), '9–12, 14:30–18');
  assert.equal(reads('5pm to 10:30 pm'), '17–22:30');
  assert.equal(reads('away'), 'away');
  assert.equal(reads('14-18, 9-12'), '9–12, 14–18');
  assert.match(reads('22-7'), /end after they begin/);
  assert.match(reads('9-12, 11-14'), /overlap/);
  for (const wrong of ['', 'later', '25-26', '9', '9:75-10', '9-10-11']) assert.match(reads(wrong), /Write them as/, wrong);
});

test('one stretch of hours may run on over midnight', () => {
  assert.deepEqual(readNight('22–7'), { ok: true, span: { from: 1320, until: 420 } });
  assert.deepEqual(readNight('1pm to 3 pm'), { ok: true, span: { from: 780, until: 900 } });
  for (const wrong of ['', '9', '9-9', '9-12, 13-14', 'late']) assert.equal(readNight(wrong).ok, false, wrong);
});

test('minutes as a hand reads them', () => {
  assert.deepEqual([5, 60, 95, 1440, 3000].map(sayMinutes), ['5 min', '1 h', '1 h 35 min', '24 h', '2 days']);
});

test('a studio with nothing in it has a calm calendar', () => {
  const { calendar } = planned(asked([]));
  assert.deepEqual([calendar.sessions, calendar.lanes, calendar.odd], [[], [], []]);
  assert.equal(empty.diary?.length, 0);
});
