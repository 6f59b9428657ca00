var __defProp = Object.defineProperty;
var __export = (target, all) => {
  for (var name2 in all)
    __defProp(target, name2, { get: all[name2], enumerable: true });
};

// demo/document.ts
var DocumentWriter = class {
  tables = {};
  #claims = 0;
  add(table, row) {
    ;
    (this.tables[table] ??= []).push(Object.fromEntries(Object.entries(row).filter(([, value]) => value !== void 0 && value !== null)));
    return String(row.id);
  }
  part(id3, kind, name2, rest = {}) {
    return this.add("part", { id: id3, kind, name: name2, isDefault: true, ...rest });
  }
  /** A port with its values, all claimed at one grade. */
  port(part, kind, slot, values, { grade: grade2 = "maker", looks, by: by2, source, method: method2 } = {}) {
    const id3 = this.add("port", { id: `${part}/${kind}/${slot}`, partId: part, kind, slot, looks });
    for (const [field, value] of Object.entries(values)) this.claim(id3, field, value, grade2, { by: by2, source, method: typeof value === "number" ? method2 : void 0 });
    return id3;
  }
  claim(portId2, field, value, grade2, { by: by2, source, method: method2, plusMinus, day: day2 } = {}) {
    const id3 = `claim-${String(++this.#claims).padStart(5, "0")}`;
    this.add("claim", {
      id: id3,
      portId: portId2,
      field,
      value,
      grade: grade2,
      saidBy: by2,
      source: source ?? (grade2 === "maker" ? "Workshop drawing" : void 0),
      method: method2,
      plusMinus,
      day: day2 ?? (grade2 === "measured" ? "2026-10-12" : void 0)
    });
  }
  number(part, issuer, number) {
    this.add("partNumber", { id: `number-${issuer}-${number}`, partId: part, issuerId: `issuer-${issuer}`, number, normalised: number.toUpperCase().replace(/[ .-]/g, "") });
  }
};

// demo/patterns.ts
var round = (value) => Number(value.toFixed(3));
var at = (radius, degrees3) => ({ x: round(radius * Math.cos(degrees3 * Math.PI / 180)), y: round(radius * Math.sin(degrees3 * Math.PI / 180)) });
var pattern = (count3, radius, startDeg, ...dowels3) => ({
  bolts: Array.from({ length: count3 }, (_, i) => [radius + i * 7 % 5 - 2, Math.round(startDeg + 360 / count3 * i + i * 11 % 9 - 4)]),
  dowels: dowels3
});
var CASE_PATTERNS = {
  dovrek: pattern(8, 96, 20, [92, 0], [92, 181]),
  kessarn: pattern(6, 84, 31, [82, 10], [82, 190])
};
var PATTERNS = {
  marlund: {
    bolts: [
      [182, 28],
      [176, 71],
      [178, 117],
      [184, 156],
      [171, 214],
      [173, 322]
    ],
    dowels: [
      [180, 350],
      [180, 204]
    ]
  },
  wickFirst: {
    bolts: [
      [168, 35],
      [162, 84],
      [165, 128],
      [170, 171],
      [158, 231],
      [161, 307]
    ],
    dowels: [
      [166, 14],
      [166, 196]
    ]
  },
  wickSecond: {
    bolts: [
      [174, 21],
      [169, 62],
      [171, 104],
      [176, 147],
      [177, 188],
      [163, 239],
      [165, 301]
    ],
    dowels: [
      [172, 2],
      [172, 168]
    ]
  },
  quill: {
    bolts: [
      [158, 41],
      [151, 93],
      [156, 141],
      [160, 183],
      [149, 246],
      [152, 316]
    ],
    dowels: [
      [157, 19],
      [157, 204]
    ]
  },
  anvil: {
    bolts: [
      [205, 18],
      [201, 55],
      [199, 98],
      [203, 139],
      [206, 172],
      [192, 221],
      [194, 270],
      [196, 318]
    ],
    dowels: [
      [204, 1],
      [204, 181]
    ]
  },
  ember: pattern(7, 186, 24, [181, 4], [181, 177]),
  nib: pattern(6, 149, 33, [150, 12], [150, 199]),
  maul: pattern(9, 214, 16, [212, 2], [212, 183]),
  adze: pattern(10, 228, 12, [226, 1], [226, 179]),
  tarn: pattern(7, 153, 27, [154, 9], [154, 188]),
  fen: pattern(6, 164, 38, [163, 17], [163, 201])
};
var tapped = (pattern4) => ({
  holes: pattern4.bolts.map(([r, deg]) => ({ ...at(r, deg), d: 10, thread: "M10x1.5", process: "drilled" })),
  dowels: pattern4.dowels.map(([r, deg]) => ({ ...at(r, deg), d: 12, pin: true, process: "reamed" }))
});
var drilled = (pattern4) => ({
  holes: pattern4.bolts.map(([r, deg]) => ({ ...at(r, deg), d: 10.6, process: "drilled" })),
  dowels: pattern4.dowels.map(([r, deg]) => ({ ...at(r, deg), d: 12.03, process: "reamed" }))
});
var outlineOf = (pattern4) => pattern4.bolts.flatMap(([r, deg], i) => {
  const next = pattern4.bolts[(i + 1) % pattern4.bolts.length];
  const middle = (deg + next[1] + (next[1] < deg ? 360 : 0)) / 2;
  return [at(r + 22, deg), at(Math.min(r, next[0]) + 12, middle)];
});

// demo/train.ts
var M10 = { thread: "M10x1.25" };
var SHAFT = { mouthToBottom: 30.7, tip: -16.7, noseEnd: 3.3, splineStart: 17.3, splineEnd: 72.3, bearingGap: 2.8, pinion: 20.2 };
var WHEEL = { clutchFace: 28, ringRear: 18, ringWidth: 10, holes: 10.2 };
var OIL = { wanted: 4, held: 4.2 };
var DISC = { splines: 23, hub: 25.65, shaft: 25.4, form: "involute", carrier: 8, boltHead: 7 };
var RING = { teeth: 109, module: 2.54, pinionTeeth: 9, axis: 150.4 };
var LINING = { circle: 265, friction: 0.3, releaseLow: 5, releaseHigh: 9 };
var even = (count3) => Array.from({ length: count3 }, (_, i) => 360 / count3 * i);
function engine(doc, e) {
  doc.part(e.id, "engine", e.name, { fromYear: e.years[0], toYear: e.years[1], ownerId: e.ownerId });
  doc.port(e.id, "engine-output", "main", { peakTorqueNm: e.torque[0], peakTorqueRpm: e.torque[1], redlineRpm: e.torque[2], oilL: OIL.wanted, turns: "counter-clockwise" });
  doc.port(e.id, "face", "rear", { ...tapped(e.pattern), outline: outlineOf(e.pattern) }, { looks: "rearward" });
  doc.port(e.id, "crank-flange", "main", {
    proudMm: e.flange,
    angles: even(e.crank.count),
    circleMm: e.crank.circleMm,
    thread: e.crank.thread,
    holeDepthMm: 20,
    registerMm: e.crank.registerMm,
    balance: "zero"
  });
  doc.port(e.id, "crank-sensor", "main", { readsAt: e.sensor?.[0] ?? "none", ...e.sensor ? { teeth: e.sensor[1] } : {} });
  doc.port(e.id, "front-drive", "main", {
    pumpWants: "with the crank",
    pumpBelt: "ribs",
    ...e.sensor ? { fanWants: "electric", fanBelt: "motor" } : { fanWants: "with the crank", fanBelt: "ribs" },
    alternatorWants: "either",
    alternatorBelt: "ribs"
  });
  doc.port(e.id, "load-source", "main", { cable: true, pullMm: e.automatic ? 42 : 36, vacuum: true, bus: false });
  doc.port(e.id, "outline", "main", { layout: e.layout ?? "lengthwise", lengthMm: e.size[0], heightMm: e.size[1] }, { grade: "catalogue" });
  const bore = doc.port(e.id, "pilot-bore", "crank", e.automatic ? { finished: false } : { boreMm: 25, mouthMm: e.flange });
  if (!e.unmeasured && !e.automatic) {
    doc.claim(bore, "finished", true, "maker");
    doc.claim(bore, "bottomMm", Number((e.flange - SHAFT.mouthToBottom).toFixed(2)), "maker");
  }
  const wheel2 = e.automatic ? "flexplate" : "flywheel";
  doc.part(`${e.id}-${wheel2}`, wheel2, `${e.name} ${wheel2}`, { ownerId: e.id });
  doc.port(`${e.id}-${wheel2}`, "flywheel", "main", {
    angles: even(e.crank.count),
    circleMm: e.crank.circleMm,
    holeMm: e.crank.thread.startsWith("M12") ? 12.2 : WHEEL.holes,
    registerMm: e.crank.registerMm + 0.02,
    outerMm: 282,
    balance: "zero",
    ...e.automatic ? {} : { clutchFaceMm: WHEEL.clutchFace }
  });
  doc.port(`${e.id}-${wheel2}`, "flange-bolts", "main", { thread: e.crank.thread, lengthMm: 25, clampedMm: 12, headMm: 17, headTallMm: DISC.boltHead });
  doc.port(`${e.id}-${wheel2}`, "ring", "main", { nearMm: WHEEL.ringRear, widthMm: WHEEL.ringWidth, teeth: RING.teeth, outerMm: RING.module * (RING.teeth + 2) });
  doc.port(`${e.id}-${wheel2}`, "trigger", "main", { teeth: e.sensor?.[0].startsWith("wheel") ? e.sensor[1] : 0 });
  if (!e.automatic) {
    const circleMm = LINING.circle;
    doc.port(`${e.id}-${wheel2}`, "clutch-seat", "main", { circleMm, bolts: 6, thread: "M8x1.25", dowelMm: 8, stepMm: 0, outerMm: circleMm - 33, innerMm: circleMm - 120 });
  }
  doc.port(`${e.id}-${wheel2}`, "ratings", "speed", { speedRpm: e.torque[2] + 1200 });
  if (e.automatic) {
    doc.port(e.id, "converter-bore", "main", { boreMm: 42.05, depthMm: 20 });
    doc.port(`${e.id}-${wheel2}`, "flex-pads", "main", { heightMm: 7.5, angles: even(3), circleMm: 250, holeMm: 10.4, thickMm: 3, boltThread: "M10x1.5", boltMm: 14 });
  }
  seat(doc, e);
  if (e.separator) {
    doc.part(`${e.id}-separator`, "separator", `${e.name} separator plate`, { ownerId: e.id });
    doc.port(`${e.id}-separator`, "plate", "main", { thicknessMm: e.separator });
  }
  if (!e.automatic) {
    doc.part(`${e.id}-pilot`, "pilot", `${e.name} pilot bearing`, { ownerId: e.id });
    doc.port(`${e.id}-pilot`, "pilot-piece", "main", { type: "bearing", outerMm: 25.018, boreMm: e.nose + 0.015, widthMm: 12, depthMm: 1 });
  }
}
function seat(doc, { id: id3, size: size2, pads: pads3, pan }) {
  if (pads3)
    doc.port(
      id3,
      "engine-pads",
      "main",
      { alongMm: pads3[0], belowMm: pads3[1], spreadMm: pads3[2], angleDeg: 45, thread: "M10x1.5" },
      { grade: "measured", by: "Bram", method: "rule" }
    );
  if (!pan) return;
  const [from, to, depth2] = pan;
  const zones2 = [
    { fromMm: -size2[0], toMm: from, depthMm: 105 },
    { fromMm: from, toMm: to, depthMm: depth2 },
    { fromMm: to, toMm: 0, depthMm: 105 }
  ].filter((zone) => zone.toMm > zone.fromMm);
  const port2 = doc.port(id3, "sump", "main", { dropMm: 50, coverMm: 70, pickupMm: 40, baffled: true, capacityL: OIL.held });
  doc.claim(port2, "zones", zones2, "measured", { by: "Bram", method: "rule" });
}
var discOf = (startMm, endMm) => ({
  startMm,
  endMm,
  splines: DISC.splines,
  majorMm: DISC.hub,
  form: DISC.form,
  marked: "gearbox side",
  carrierMm: DISC.carrier
});
function gearbox(doc, g) {
  const [flange2, plates2] = g.original;
  const behind2 = (place6) => Number((flange2 - plates2 + place6).toFixed(2));
  doc.part(g.id, "transmission", g.name, { ownerId: g.ownerId });
  doc.port(g.id, "face", "front", { ...drilled(g.pattern), mayTurn: false, outline: outlineOf(g.pattern) }, { looks: "forward" });
  doc.port(g.id, "ratios", "main", {
    type: g.automatic ? "automatic" : "manual",
    gears: g.gears,
    turns: "counter-clockwise",
    ...g.automatic ? { stall: 2.1 } : {},
    ...g.transaxle ? { finalDrive: g.transaxle[0] } : {}
  });
  doc.port(g.id, "ratings", "torque", { torqueNm: g.torqueNm, reference: g.automatic ? "turbine" : "engine", basis: "nominal" });
  doc.port(g.id, "ratings", "speed", { speedRpm: g.speedRpm });
  doc.port(g.id, "original-stack", "main", { flangeMm: flange2, platesMm: plates2, spacersMm: 0 });
  doc.port(g.id, "outline", "main", { bellMm: g.size[0], lengthMm: g.size[1], heightMm: g.size[2] }, { grade: "catalogue" });
  if (g.mount)
    doc.port(g.id, "mount-pad", "main", { alongMm: g.mount[0], belowMm: g.mount[1], spacingMm: 80, thread: "M10x1.5" }, { grade: "measured", by: "Bram", method: "rule" });
  doc.part(`${g.id}-starter`, "starter", `${g.name} starter`, { ownerId: g.id });
  doc.port(`${g.id}-starter`, "starter", "main", {
    mount: "bell",
    pinionMm: behind2(SHAFT.pinion),
    throwMm: 12,
    way: "forward",
    turns: "counter-clockwise",
    teeth: RING.pinionTeeth,
    moduleMm: RING.module
  });
  behindBell(doc, g);
  if (g.automatic) {
    doc.part(`${g.id}-converter`, "converter", `${g.name} converter`, { ownerId: g.id });
    doc.port(`${g.id}-converter`, "converter", "main", {
      padAngles: even(3),
      padCircleMm: 250,
      padThread: "M10x1.5",
      padDepthMm: 14,
      noseMm: 42,
      noseTipMm: -16,
      hubMm: 44.4,
      turbineSplines: 27,
      statorSplines: 30,
      stallRpm: 2e3
    });
    doc.port(g.id, "pump", "main", { padMm: flange2 + 7.5 + 2.5, padSpreadMm: 0.2, lugsMm: 14, bushMm: 44.45, turbineSplines: 27, statorSplines: 30 });
    return;
  }
  doc.port(g.id, "input-shaft", "main", {
    noseMm: g.nose,
    tipMm: behind2(SHAFT.tip),
    noseEndMm: behind2(SHAFT.noseEnd),
    splines: DISC.splines,
    majorMm: DISC.shaft,
    form: DISC.form,
    splineStartMm: behind2(SHAFT.splineStart),
    splineEndMm: behind2(SHAFT.splineEnd)
  });
  doc.part(`${g.id}-cover`, "cover", `${g.name} clutch cover`, { ownerId: g.id });
  doc.port(`${g.id}-cover`, "cover-fingers", "main", { heightMm: g.clutch[0], travelLowMm: LINING.releaseLow, travelHighMm: LINING.releaseHigh });
  const { circle } = LINING;
  const lining2 = { outerMm: circle - 40, innerMm: circle - 115, friction: LINING.friction };
  const clampN = Math.round(g.torqueNm * 1.25 / (2 * LINING.friction * ((lining2.outerMm + lining2.innerMm) / 4e3)));
  doc.port(`${g.id}-cover`, "cover-mount", "main", { circleMm: circle, bolts: 6, holeMm: 8.4, dowelMm: 8, stepMm: 0, clampN });
  doc.port(`${g.id}-cover`, "ratings", "torque", { torqueNm: Math.round(g.torqueNm * 1.15), reference: "engine", basis: "nominal", speedRpm: 7500 });
  doc.part(`${g.id}-disc`, "disc", `${g.name} clutch disc`, { ownerId: g.id });
  doc.port(`${g.id}-disc`, "disc-hub", "main", discOf(g.clutch[1], g.clutch[2]));
  doc.port(`${g.id}-disc`, "disc-face", "main", lining2);
  doc.part(`${g.id}-release-bearing`, "release-bearing", `${g.name} release bearing`, { ownerId: g.id });
  doc.port(`${g.id}-release-bearing`, "release-bearing", "main", { restMm: behind2(WHEEL.clutchFace + g.clutch[0] + SHAFT.bearingGap), gapLowMm: 1.5, gapHighMm: 4 });
}
function behindBell(doc, g) {
  if (g.bell) {
    doc.port(g.id, "starter-seat", "bell", { side: g.bell[0], axisMm: RING.axis }, { looks: "forward" });
    doc.port(g.id, "sensor-seat", "main", { drilled: g.bell[1] });
  }
  if (g.output) {
    const [alongMm, splines4, majorMm] = g.output;
    doc.port(g.id, "output", "main", { type: "slip", splines: splines4, majorMm, alongMm, belowMm: 0, rightMm: 0 }, { grade: "measured", by: "Bram", method: "tape-shaft" });
  }
  if (g.transaxle) doc.port(g.id, "side-outputs", "main", { family: g.transaxle[3], leftMm: g.transaxle[1], rightMm: g.transaxle[2] });
  if (g.caseEnd) {
    const [rear, splines4, majorMm, faceMm, endMm] = g.caseEnd;
    doc.port(g.id, "face", "rear", tapped(rear), { looks: "rearward" });
    doc.port(g.id, "case-shaft", "main", { splines: splines4, majorMm, faceMm, endMm });
  }
  if (g.takeOff) doc.port(g.id, "take-off-opening", "main", g.takeOff);
  if (g.lever) doc.port(g.id, "lever", "main", { alongMm: g.lever, work: "lever on the case", gate: "as the vehicle" }, { grade: "measured", by: "Bram", method: "rule" });
  if (g.perTurn) doc.port(g.id, "speed-drive", "main", { type: "cable", perTurn: g.perTurn });
  doc.port(g.id, "switches", "main", { reverse: true, interlock: g.automatic ? "neutral or park switch" : "nothing" });
  if (g.automatic) doc.port(g.id, "load-signal", "main", { wants: "cable", pullMm: 42 });
  else doc.port(g.id, "release-gear", "main", { type: "fork", slaveMm: 20.64, innerMm: 0, strokeMm: 28, forkRatio: 1.8 });
}
function trains(doc) {
  engine(doc, {
    id: "hob",
    name: "Marlund Hob",
    years: [1974, 1983],
    pattern: PATTERNS.marlund,
    flange: 4.2,
    separator: 1.5,
    crank: { ...M10, count: 6, circleMm: 64, registerMm: 36 },
    torque: [118, 2800, 5200],
    size: [505, 585],
    nose: 15,
    ownerId: "packet",
    pads: [-250, 40, 480],
    pan: [-190, -20, 190]
  });
  engine(doc, {
    id: "wick-1",
    name: "Kessarn Wick, 1st",
    years: [1984, 1990],
    pattern: PATTERNS.wickFirst,
    flange: 14.5,
    crank: { ...M10, count: 8, circleMm: 72, registerMm: 40 },
    torque: [158, 3e3, 5800],
    size: [540, 610],
    nose: 15,
    pads: [-262, 46, 500],
    pan: [-320, -40, 195]
  });
  engine(doc, {
    id: "wick-2",
    name: "Kessarn Wick, 2nd",
    years: [1991, 1997],
    pattern: PATTERNS.wickSecond,
    flange: 14.7,
    crank: { ...M10, count: 8, circleMm: 72, registerMm: 40 },
    torque: [172, 3200, 6e3],
    size: [540, 615],
    nose: 15,
    pads: [-265, 46, 500],
    pan: [-185, -30, 195],
    sensor: ["crank nose", 36]
  });
  engine(doc, {
    id: "quill-early",
    name: "Sunagi Quill, early",
    years: [1988, 1992],
    pattern: PATTERNS.quill,
    flange: 16.7,
    crank: { ...M10, count: 6, circleMm: 70, registerMm: 38 },
    torque: [151, 4e3, 6400],
    size: [490, 600],
    nose: 17,
    sensor: ["wheel", 36],
    pads: [-238, 52, 520],
    pan: [-180, -25, 180]
  });
  engine(doc, {
    id: "quill-late",
    name: "Sunagi Quill, late",
    years: [1993, 1999],
    pattern: PATTERNS.quill,
    flange: 16.7,
    crank: { ...M10, count: 6, circleMm: 70, registerMm: 38 },
    torque: [163, 4200, 6600],
    size: [495, 620],
    nose: 17,
    sensor: ["wheel, from the bell", 60],
    unmeasured: true
  });
  engine(doc, {
    id: "anvil",
    name: "Dovrek Anvil",
    years: [1990, 1998],
    pattern: PATTERNS.anvil,
    flange: 10,
    crank: { count: 8, circleMm: 92, registerMm: 50, thread: "M12x1.25" },
    torque: [318, 2400, 4800],
    size: [720, 680],
    nose: 17,
    automatic: true,
    pads: [-330, 60, 560],
    pan: [-700, -420, 210]
  });
  gearbox(doc, {
    id: "marlund-4",
    name: "Marlund 4-speed",
    clutch: [52, -6, 18],
    pattern: PATTERNS.marlund,
    original: [4.2, 1.5],
    nose: 15,
    gears: [3.9, 2.26, 1.41, 1],
    torqueNm: 210,
    speedRpm: 6500,
    size: [165, 515, 310],
    ownerId: "packet",
    mount: [500, 125],
    output: [700, 24, 32],
    lever: 520,
    bell: ["left", false],
    perTurn: 0.3
  });
  gearbox(doc, {
    id: "kessarn-5",
    name: "Kessarn 5-speed",
    clutch: [54, -6.5, 19],
    pattern: PATTERNS.wickSecond,
    original: [14.7, 0],
    nose: 15,
    gears: [3.62, 2.08, 1.37, 1, 0.82],
    torqueNm: 240,
    speedRpm: 7e3,
    size: [170, 590, 320],
    mount: [560, 128],
    output: [780, 26, 34],
    lever: 590,
    bell: ["left", false],
    perTurn: 0.28
  });
  gearbox(doc, {
    id: "sunagi-5",
    name: "Sunagi 5-speed",
    clutch: [50.5, -5.4, 17.2],
    pattern: PATTERNS.quill,
    original: [16.7, 0],
    nose: 17,
    gears: [3.48, 2.01, 1.38, 1, 0.85],
    torqueNm: 205,
    speedRpm: 7200,
    size: [158, 560, 305],
    mount: [540, 120],
    output: [740, 25, 33],
    lever: 690,
    bell: ["right", true],
    perTurn: 0.31
  });
  gearbox(doc, {
    id: "dovrek-4a",
    name: "Dovrek 4-automatic",
    clutch: [0, 0, 0],
    pattern: PATTERNS.anvil,
    original: [10, 0],
    nose: 17,
    gears: [2.74, 1.55, 1, 0.7],
    torqueNm: 720,
    speedRpm: 5600,
    size: [190, 690, 390],
    automatic: true,
    mount: [640, 150],
    output: [900, 30, 38],
    bell: ["right", false]
  });
}
function adapters(doc) {
  const plate3 = (id3, name2, thickness, front3, rear, grade2, dowelled = true) => {
    doc.part(id3, "plate", name2);
    const source = grade2 === "maker" ? "Kit drawing" : "Kit advert";
    doc.port(id3, "plate", "main", { thicknessMm: thickness }, { grade: grade2, source });
    doc.port(id3, "face", "front", dowelled ? drilled(front3) : { holes: drilled(front3).holes, dowels: [] }, { looks: "forward", grade: grade2, source });
    doc.port(id3, "face", "rear", dowelled ? tapped(rear) : { holes: tapped(rear).holes, dowels: [] }, { looks: "rearward", grade: grade2, source });
  };
  plate3("plate-w2-12", "Tessil plate 12 mm, Wick 2nd to Marlund", 12, PATTERNS.wickSecond, PATTERNS.marlund, "maker");
  plate3("plate-w2-12b", "Brimble plate 12 mm, Wick 2nd to Marlund", 12, PATTERNS.wickSecond, PATTERNS.marlund, "catalogue", false);
  plate3("plate-w1-16", "Tessil plate 16 mm, Wick 1st to Marlund", 16, PATTERNS.wickFirst, PATTERNS.marlund, "maker");
  plate3("plate-q-14", "Tessil plate 14 mm, Quill to Marlund", 14, PATTERNS.quill, PATTERNS.marlund, "maker");
  for (const [id3, mm] of [
    ["spacer-4", 4.2],
    ["spacer-8", 8.4]
  ]) {
    doc.part(id3, "spacer", `Tessil crank spacer ${mm} mm, Wick`);
    doc.port(id3, "spacer", "main", { thicknessMm: mm }, { source: "Kit drawing" });
    doc.port(id3, "flywheel", "front", { angles: even(8), circleMm: 72, holeMm: 10.2, registerMm: 40.02, outerMm: 104, balance: "zero" }, { source: "Kit drawing" });
    doc.port(id3, "crank-flange", "rear", { angles: even(8), circleMm: 72, thread: "through", registerMm: 40, balance: "zero" }, { source: "Kit drawing" });
    doc.port(id3, "flange-bolts", "main", { thread: "M10x1.25", lengthMm: 25 + Math.ceil(mm), headMm: 17, headTallMm: DISC.boltHead }, { source: "Kit drawing" });
  }
  for (const [id3, name2, bore] of [
    ["bush-15", "Bronze pilot bush 25 on 15", 15.05],
    ["bush-17", "Bronze pilot bush 25 on 17", 17.05]
  ]) {
    doc.part(id3, "pilot", name2);
    doc.port(id3, "pilot-piece", "main", { type: "bush", outerMm: 25.02, boreMm: bore, widthMm: 14, depthMm: 1 });
  }
}

// demo/families.ts
var crank = (count3, circleMm, registerMm, thread2 = "M10x1.25") => ({ count: count3, circleMm, registerMm, thread: thread2 });
var SMALL = crank(6, 66, 36);
var MIDDLE = crank(8, 74, 42);
var LARGE = crank(8, 92, 50, "M12x1.25");
function family(doc, shared, groups) {
  for (const [id3, name2, from, to, flange2, nm, rpm, redline, rest] of groups) engine(doc, { ...shared, id: id3, name: name2, years: [from, to], flange: flange2, torque: [nm, rpm, redline], ...rest });
}
function moreEngines(doc) {
  family(doc, { pattern: PATTERNS.marlund, crank: crank(6, 64, 36), size: [505, 585], nose: 15 }, [
    ["hob-late", "Marlund Hob, late", 1984, 1988, 4.2, 124, 2900, 5400, { pads: [-250, 40, 480], pan: [-190, -20, 190] }],
    ["trivet-1", "Marlund Trivet, 1st", 1981, 1987, 6.4, 138, 2600, 5e3, { unmeasured: true }],
    ["trivet-2", "Marlund Trivet, 2nd", 1988, 1994, 6.4, 146, 2700, 5200, { pads: [-255, 42, 480], pan: [-200, -30, 195] }]
  ]);
  family(doc, { pattern: PATTERNS.wickSecond, crank: crank(8, 72, 40), size: [540, 618], nose: 15 }, [
    ["wick-3", "Kessarn Wick, 3rd", 1998, 2003, 14.7, 181, 3400, 6200, { sensor: ["wheel", 60], pads: [-265, 46, 500], pan: [-185, -30, 195] }],
    ["wick-4", "Kessarn Wick, 4th, throttle by wire", 2004, 2009, 14.7, 190, 3600, 6400, { sensor: ["wheel, from the bell", 60], unmeasured: true }]
  ]);
  family(doc, { pattern: PATTERNS.ember, crank: MIDDLE, size: [610, 640], nose: 17 }, [
    ["ember-1", "Kessarn Ember, 1st", 1986, 1992, 11.5, 224, 2600, 5e3, { pads: [-290, 50, 520], pan: [-240, -40, 200] }],
    ["ember-2", "Kessarn Ember, 2nd", 1993, 1999, 11.5, 238, 2700, 5200, { sensor: ["block", 36] }],
    ["ember-3", "Kessarn Ember, 3rd", 2e3, 2006, 12.1, 252, 2900, 5600, { sensor: ["wheel", 60], unmeasured: true }]
  ]);
  family(doc, { pattern: PATTERNS.quill, crank: crank(6, 70, 38), size: [495, 625], nose: 17 }, [
    ["quill-3", "Sunagi Quill, 3rd, throttle by wire", 2e3, 2005, 16.7, 170, 4400, 6800, { sensor: ["wheel, from the bell", 60], unmeasured: true }]
  ]);
  family(doc, { pattern: PATTERNS.nib, crank: SMALL, size: [430, 570], nose: 14, layout: "crosswise" }, [
    ["nib-1", "Sunagi Nib, 1st", 1992, 1998, 12.2, 112, 3600, 6400, { sensor: ["crank nose", 36] }],
    ["nib-2", "Sunagi Nib, 2nd", 1999, 2006, 12.2, 121, 3800, 6600, { sensor: ["crank nose", 60], unmeasured: true }]
  ]);
  family(doc, { pattern: PATTERNS.anvil, crank: LARGE, size: [720, 680], nose: 17, automatic: true }, [
    ["anvil-early", "Dovrek Anvil, early", 1982, 1989, 10, 296, 2200, 4600, { unmeasured: true }],
    ["anvil-late", "Dovrek Anvil, late", 1999, 2006, 10.4, 342, 2600, 5200, { sensor: ["wheel", 60] }]
  ]);
  family(doc, { pattern: PATTERNS.maul, crank: LARGE, size: [830, 705], nose: 17, automatic: true }, [
    ["maul-1", "Dovrek Maul six, 1st", 1988, 1994, 12, 368, 1900, 4400, { pads: [-380, 64, 560], pan: [-420, -80, 205] }],
    ["maul-2", "Dovrek Maul six, 2nd", 1995, 2001, 12, 392, 2e3, 4600, { sensor: ["wheel", 60], pads: [-380, 64, 560], pan: [-420, -80, 205] }],
    ["maul-3", "Dovrek Maul six, 3rd", 2002, 2008, 12.3, 420, 2200, 4800, { sensor: ["wheel, from the bell", 60], unmeasured: true }]
  ]);
  family(doc, { pattern: PATTERNS.adze, crank: LARGE, size: [680, 760], nose: 17 }, [
    ["adze-1", "Dovrek Adze diesel, 1st", 1987, 1995, 15, 285, 1700, 3800, { pads: [-300, 58, 560], pan: [-320, -60, 215] }],
    ["adze-2", "Dovrek Adze diesel, 2nd", 1996, 2004, 15, 340, 1600, 3900, { sensor: ["block", 60] }]
  ]);
  family(doc, { pattern: PATTERNS.tarn, crank: SMALL, size: [450, 590], nose: 14, layout: "crosswise" }, [
    ["tarn-1", "Obrelle Tarn, 1st", 1989, 1995, 9.8, 143, 4e3, 6600, { sensor: ["wheel", 36] }],
    ["tarn-2", "Obrelle Tarn, 2nd", 1996, 2001, 9.8, 158, 4200, 6900, { sensor: ["wheel", 60] }],
    ["tarn-3", "Obrelle Tarn, 3rd, throttle by wire", 2002, 2008, 10.6, 187, 4500, 7200, { sensor: ["wheel, from the bell", 60], unmeasured: true }]
  ]);
  family(doc, { pattern: PATTERNS.fen, crank: SMALL, size: [480, 600], nose: 15 }, [
    ["fen-1", "Obrelle Fen, 1st", 1985, 1991, 8.2, 132, 3e3, 5600],
    ["fen-2", "Obrelle Fen, 2nd", 1992, 1998, 8.2, 141, 3200, 5800, { sensor: ["crank nose", 36] }]
  ]);
  family(doc, { pattern: PATTERNS.fen, crank: MIDDLE, size: [560, 630], nose: 15 }, [
    ["weir", "Obrelle Weir", 1994, 2002, 9.4, 204, 3400, 6e3, { sensor: ["block", 60], unmeasured: true }]
  ]);
}
var box = (doc, shared, versions) => {
  for (const [id3, name2, rest] of versions) gearbox(doc, { ...shared, id: id3, name: name2, ...rest });
};
function moreGearboxes(doc) {
  const light = { clutch: [52, -6, 18], nose: 15, speedRpm: 6500 };
  box(doc, { ...light, pattern: PATTERNS.marlund, original: [4.2, 1.5], gears: [3.9, 2.26, 1.41, 1], torqueNm: 210, size: [165, 515, 310] }, [
    ["marlund-4b", "Marlund 4-speed, long tail", { mount: [560, 125], output: [760, 24, 32], lever: 580, bell: ["left", false], perTurn: 0.3 }]
  ]);
  box(doc, { ...light, pattern: PATTERNS.marlund, original: [6.4, 0], gears: [3.7, 2.1, 1.38, 1, 0.84], torqueNm: 225, size: [165, 560, 315] }, [
    ["marlund-5", "Marlund 5-speed", { mount: [545, 126], output: [745, 24, 32], lever: 565, bell: ["left", false], perTurn: 0.3 }],
    ["marlund-5b", "Marlund 5-speed, close ratio", { gears: [3.2, 2, 1.4, 1.12, 0.9] }]
  ]);
  box(
    doc,
    { clutch: [54, -6.5, 19], nose: 15, speedRpm: 7e3, pattern: PATTERNS.ember, original: [11.5, 0], gears: [3.62, 2.08, 1.37, 1, 0.82], torqueNm: 260, size: [178, 590, 325] },
    [["kessarn-5b", "Kessarn 5-speed, Ember face", { nose: 17, mount: [560, 128], output: [780, 26, 34], lever: 590, bell: ["left", false], perTurn: 0.28 }]]
  );
  box(
    doc,
    { clutch: [0, 0, 0], nose: 17, speedRpm: 5400, pattern: PATTERNS.ember, original: [11.5, 0], gears: [2.5, 1.5, 1], torqueNm: 520, size: [190, 640, 380], automatic: true },
    [["kessarn-3a", "Kessarn 3-automatic", { mount: [610, 145], output: [840, 28, 36] }]]
  );
  box(
    doc,
    {
      clutch: [50.5, -5.4, 17.2],
      nose: 15,
      speedRpm: 7200,
      original: [14.7, 0],
      gears: [3.48, 2.01, 1.38, 1, 0.85],
      torqueNm: 205,
      size: [158, 560, 305],
      pattern: PATTERNS.wickSecond
    },
    [
      ["sunagi-5k", "Sunagi 5-speed, Wick face", { mount: [540, 120], output: [740, 25, 33], lever: 690, bell: ["right", true], perTurn: 0.31 }],
      ["sunagi-5t", "Sunagi 5-speed, Trivet face", { pattern: PATTERNS.marlund, original: [6.4, 0] }]
    ]
  );
  box(
    doc,
    {
      clutch: [0, 0, 0],
      nose: 17,
      speedRpm: 6e3,
      pattern: PATTERNS.quill,
      original: [16.7, 0],
      gears: [2.8, 1.54, 1, 0.72],
      torqueNm: 430,
      size: [175, 630, 360],
      automatic: true
    },
    [
      ["sunagi-4a", "Sunagi 4-automatic", { mount: [590, 140], output: [810, 25, 33] }],
      ["sunagi-4a-late", "Sunagi 4-automatic, late"]
    ]
  );
  const four = { clutch: [0, 0, 0], nose: 17, speedRpm: 5600, gears: [2.74, 1.55, 1, 0.7], torqueNm: 1500, size: [190, 690, 390], automatic: true };
  box(doc, { ...four, pattern: PATTERNS.maul, original: [12, 0] }, [
    [
      "dovrek-4a-maul",
      "Dovrek 4-automatic, Maul face",
      {
        mount: [640, 150],
        bell: ["left", true],
        caseEnd: [CASE_PATTERNS.dovrek, 30, 38, 712, 770],
        takeOff: { family: "six bolt", side: "left", moduleMm: 3.5, turns: "with the engine" }
      }
    ],
    ["dovrek-4a-long", "Dovrek 4-automatic, Maul face, rear drive", { mount: [640, 150], output: [900, 30, 38], bell: ["right", false] }]
  ]);
  box(doc, { clutch: [58, -7, 20], nose: 17, speedRpm: 4800, pattern: PATTERNS.adze, original: [15, 0], gears: [5.1, 2.9, 1.7, 1, 0.8], torqueNm: 460, size: [195, 640, 380] }, [
    ["dovrek-5t", "Dovrek truck 5-speed", { mount: [600, 150], bell: ["left", false], lever: 560, caseEnd: [CASE_PATTERNS.dovrek, 30, 38, 660, 716] }],
    ["dovrek-5t-late", "Dovrek truck 5-speed, late", { torqueNm: 500, speedRpm: 5e3 }]
  ]);
  box(
    doc,
    { clutch: [49, -5, 16.5], nose: 14, speedRpm: 7400, pattern: PATTERNS.tarn, original: [9.8, 0], gears: [3.4, 1.95, 1.36, 1.03, 0.81], torqueNm: 190, size: [150, 370, 330] },
    [
      ["obrelle-5x", "Obrelle 5-speed transaxle", { transaxle: [4.06, 96, 148, "tripod 26"], bell: ["right", true] }],
      ["obrelle-5x-short", "Obrelle 5-speed transaxle, short final drive", { transaxle: [4.41, 96, 148, "tripod 26"], gears: [3.2, 2.05, 1.48, 1.16, 0.93] }]
    ]
  );
  box(
    doc,
    { clutch: [49, -5, 16.5], nose: 14, speedRpm: 7600, pattern: PATTERNS.tarn, original: [10.6, 0], gears: [3.5, 2.1, 1.5, 1.2, 1, 0.83], torqueNm: 240, size: [152, 390, 335] },
    [["obrelle-6x", "Obrelle 6-speed transaxle", { transaxle: [3.94, 101, 152, "tripod 29"] }]]
  );
}
function transferCases(doc) {
  const make = (id3, name2, pattern4, side2, rest = {}) => {
    doc.part(id3, "transfer-case", name2, { ownerId: rest.ownerId });
    doc.port(id3, "face", "front", { ...drilled(pattern4), mayTurn: true }, { looks: "forward" });
    doc.port(id3, "transfer-input", "main", { splines: 30, majorMm: 38.2, depthMm: 74, mostMm: 82 });
    doc.port(id3, "transfer", "main", { frontSide: side2, frontTurns: "as the rear", frontRatio: 1, low: 2.6, shift: "lever" });
    doc.port(id3, "ratings", "torque", { torqueNm: 5400, reference: "transfer output", basis: "peak" });
    if (rest.isMeasured === false) return;
    doc.port(id3, "output", "main", { type: "flange", circleMm: 80, alongMm: 320, belowMm: 18, rightMm: 0 }, { grade: "measured", by: "Bram", method: "rule" });
    doc.port(id3, "speed-drive", "main", { type: "cable", perTurn: 0.26 });
  };
  make("dovrek-case-left", "Dovrek transfer case, front output left", CASE_PATTERNS.dovrek, "left", { ownerId: "hawser" });
  make("dovrek-case-right", "Dovrek transfer case, front output right", CASE_PATTERNS.dovrek, "right");
  make("kessarn-case", "Kessarn transfer case", CASE_PATTERNS.kessarn, "right", { isMeasured: false });
  make("marlund-divider", "Marlund divider", CASE_PATTERNS.kessarn, "left", { isMeasured: false });
}

// demo/market.ts
import { xorshift128plus } from "pure-rand/generator/xorshift128plus";
var SUPPLIERS = [
  ["harbour", "Harbour Parts", "Inner quay", "EUR", 0, 890, 15e3],
  ["tessil", "Tessil Works", "Mill lane", "EUR", 0, 1450, 6e4],
  ["brimble", "Brimble Fabrication", "Far shore", "GBP", 0, 1800, null],
  ["skarvik", "Skarvik Drivetrain", "North sound", "SEK", 4e4, 12900, 25e4],
  ["oldquay", "Old Quay Breakers", "Old quay", "EUR", 0, 2400, null],
  ["fennmoor", "Fennmoor Fasteners", "Fen road", "EUR", 1500, 490, 6e3]
];
var ISSUERS = ["MLD", "KSN", "SNG", "DVK", "TSL", "BRM", "HBP", "FNF"];
var GENERAL = [
  ["dowel", ["Dowel 12 \xD7 24, reamed fit", "Dowel 12 \xD7 30", "Dowel 12 \xD7 20", "Dowel 12 \xD7 36, hardened"], 380, 890, 1, ["fennmoor", "harbour", "tessil"]],
  ["bell-bolt", ["Bolt M10x1.5 \xD7 40, 8.8", "Bolt M10x1.5 \xD7 50, 8.8", "Bolt M10x1.5 \xD7 60, 10.9", "Bolt M10x1.5 \xD7 45, 8.8"], 70, 190, 10, ["fennmoor", "harbour"]],
  ["flange-bolt", ["Flywheel bolt M10x1.25 \xD7 25, 10.9", "Flywheel bolt M10x1.25 \xD7 30, 10.9", "Flywheel bolt M12x1.25 \xD7 25, 10.9"], 210, 420, 1, ["fennmoor", "harbour", "skarvik"]],
  ["cover-bolt", ["Cover bolt M8x1.25 \xD7 20", "Cover bolt M8x1.25 \xD7 22, shouldered", "Cover bolt set"], 90, 220, 6, ["fennmoor", "harbour"]],
  ["gearbox-cooler", ["Oil cooler, plate type", "Oil cooler, finned tube"], 8900, 16800, 1, ["harbour", "skarvik"]],
  ["cooler-line", ["Cooler line, to length", "Cooler hose, crimped"], 2400, 5200, 1, ["harbour", "skarvik"]],
  [
    "engine-mount",
    ["Engine mount, soft", "Engine mount, firm", "Engine mount bracket, weld on", "Engine mount, van", "Engine mount, hydraulic"],
    2200,
    6400,
    1,
    ["harbour", "oldquay", "skarvik"]
  ],
  ["gearbox-mount", ["Gearbox mount, bolt on", "Gearbox mount, bonded", "Gearbox mount, van", "Gearbox mount, firm"], 2600, 5900, 1, ["harbour", "oldquay"]],
  ["speedometer", ["Speedometer cable, to length", "Speedometer drive gear", "Pulse to cable drive"], 1900, 8800, 1, ["harbour", "oldquay"]],
  ["throttle-actuation", ["Throttle cable, universal", "Throttle cable bracket", "Throttle cable, van"], 1400, 3900, 1, ["harbour", "oldquay"]],
  [
    "engine-oil",
    ["Engine oil 10W-40 and filter", "Engine oil 15W-40 and filter", "Engine oil 5W-40 and filter", "Running-in oil and filter"],
    3800,
    7200,
    1,
    ["harbour", "skarvik"]
  ],
  ["gearbox-oil", ["Gearbox oil 75W-80", "Gearbox oil 80W-90", "Gearbox oil 75W-90"], 1900, 4800, 1, ["harbour", "skarvik"]],
  ["coolant", ["Coolant, silicated", "Coolant, organic acid", "Coolant concentrate"], 1600, 3400, 1, ["harbour", "skarvik"]],
  ["lower-hose", ["Hose 38, elbow", "Hose 38, corrugated", "Hose 38, straight"], 1200, 3100, 1, ["harbour", "oldquay"]],
  ["belt", ["Ribbed belt 6 \xD7 1130", "Ribbed belt 6 \xD7 1195", "Vee belt 10 \xD7 950"], 900, 2600, 1, ["harbour", "skarvik"]],
  ["exhaust", ["Exhaust, mandrel bends and silencer", "Exhaust, straight pipe and silencer"], 9800, 31e3, 1, ["harbour", "oldquay"]],
  ["inspection", ["Engineer's visit and certificate"], 24e3, 24e3, 1, ["harbour"]]
];
var OFFERED_COUPLING = ["flywheel", "flexplate", "cover", "disc", "release-bearing", "pilot", "starter", "separator", "converter"];
function market(doc, offersWanted, partsWanted) {
  const random = xorshift128plus(1979);
  const int = (low, high) => low + (random.next() >>> 0) % (high - low + 1);
  for (const name2 of ISSUERS) doc.add("issuer", { id: `issuer-${name2}`, name: name2, upper: true, noise: " .-" });
  for (const [id3, name2, place6, currency, minimumMinor, shippingMinor, freeOverMinor] of SUPPLIERS)
    doc.add("supplier", { id: id3, name: name2, place: place6, currency, minimumMinor, shippingMinor, freeOverMinor });
  doc.add("rate", { id: "rate-gbp", fromCurrency: "GBP", toCurrency: "EUR", rate: 1.17, day: "2026-11-02", source: "Bank letter" });
  doc.add("rate", { id: "rate-sek", fromCurrency: "SEK", toCurrency: "EUR", rate: 0.0892, day: "2026-11-02", source: "Bank letter" });
  let count3 = 0;
  const offer = (partId, supplierId, euroMinor, rest = {}) => {
    const currency = SUPPLIERS.find(([id3]) => id3 === supplierId)[3];
    const rate2 = { EUR: 1, GBP: 1.17, SEK: 0.0892 }[currency];
    const serial3 = String(++count3).padStart(4, "0");
    doc.add("offer", {
      id: `offer-${serial3}`,
      partId,
      supplierId,
      priceMinor: Math.max(1, Math.round(euroMinor / rate2)),
      currency,
      taxIncluded: currency !== "SEK",
      pack: 1,
      condition: "new",
      ...rest
    });
  };
  const stockOf = () => ({ stock: int(1, 40), leadDays: int(1, 14) });
  for (const part of doc.tables.part.filter((row) => OFFERED_COUPLING.includes(String(row.kind)))) {
    const base = { flywheel: 19e3, flexplate: 15e3, cover: 11500, disc: 9200, "release-bearing": 3100, pilot: 1200, starter: 14800, separator: 1800, converter: 42e3 }[String(part.kind)] ?? 5e3;
    offer(String(part.id), "harbour", int(base, base * 1.3), stockOf());
    offer(String(part.id), "skarvik", int(base * 0.9, base * 1.2), stockOf());
    offer(String(part.id), "oldquay", int(base * 0.3, base * 0.6), { condition: "used", stock: 1, leadDays: int(2, 9) });
  }
  for (const [part, price] of [
    ["wick-2", 68e3],
    ["wick-1", 54e3],
    ["quill-early", 61e3],
    ["quill-late", 74e3],
    ["anvil", 12e4],
    ["kessarn-5", 45e3],
    ["sunagi-5", 43e3],
    ["dovrek-4a", 88e3]
  ]) {
    offer(part, "oldquay", price, { condition: "used", stock: 1, leadDays: 5 });
    offer(part, "skarvik", price * 2.6, { condition: "rebuilt", stock: 2, leadDays: 21 });
  }
  for (const [part, price] of [
    ["plate-w2-12", 26500],
    ["plate-w1-16", 28600],
    ["plate-q-14", 28600],
    ["spacer-4", 7400],
    ["spacer-8", 7900]
  ])
    offer(part, "tessil", price, stockOf());
  offer("plate-w2-12b", "brimble", 17200, stockOf());
  const parts = [];
  let serial2 = 0;
  const generalPart = (kind, words3, low, high, pack3, sellers) => {
    const id3 = `general-${String(++serial2).padStart(3, "0")}`;
    doc.part(id3, kind, words3);
    const bolt2 = /(M\d+x[\d.]+) × (\d+)/.exec(words3);
    if (bolt2 && (kind === "bell-bolt" || kind === "flange-bolt"))
      doc.port(id3, "flange-bolts", "main", { thread: bolt2[1], lengthMm: Number(bolt2[2]) }, { grade: "catalogue", source: "Price list" });
    doc.number(id3, sellers[0] === "fennmoor" ? "FNF" : "HBP", `${serial2 < 100 ? "2" : "3"}${String(serial2).padStart(3, "0")}.${int(10, 99)}`);
    parts.push([id3, int(low, high), pack3, sellers]);
  };
  for (const [kind, words3, low, high, pack3, sellers] of GENERAL) for (const name2 of words3) generalPart(kind, name2, low, high, pack3, sellers);
  for (let i = 0; doc.tables.part.length < partsWanted; i++) {
    const [kind, words3, low, high, pack3, sellers] = GENERAL[i % (GENERAL.length - 1)];
    generalPart(kind, `${words3[i % words3.length]}, ${["economy", "heavy", "long life", "trade pack", "marine"][Math.floor(i / GENERAL.length) % 5]}`, low, high, pack3, sellers);
  }
  for (let round3 = 0; count3 < offersWanted; round3++)
    for (const [id3, price, pack3, sellers] of parts) {
      if (count3 >= offersWanted) break;
      const seller = sellers[round3 % sellers.length];
      if (round3 < sellers.length) offer(id3, seller, Math.round(price * pack3 * (int(85, 130) / 100)), { pack: pack3, ...stockOf() });
      else offer(id3, seller, Math.round(price * pack3 * (2 + round3) * 0.9), { pack: pack3 * (2 + round3), ...stockOf() });
    }
}
function kits(doc) {
  const kit = (id3, name2, supplierId, priceMinor, items, rest = {}) => {
    const currency = SUPPLIERS.find(([supplier]) => supplier === supplierId)[3];
    doc.add("kit", { id: id3, name: name2, supplierId, priceMinor, currency, taxIncluded: currency !== "SEK", ...rest });
    for (const [i, [partId, quantity]] of items.entries()) doc.add("kitItem", { id: `${id3}-${i + 1}`, kitId: id3, partId, quantity });
  };
  kit(
    "kit-1",
    "Tessil Wick 2nd kit",
    "tessil",
    36900,
    [
      ["plate-w2-12", 1],
      ["general-001", 4],
      ["general-005", 14]
    ],
    { weightG: 9800, note: "Milled plate, reamed dowel holes, drawing in the box" }
  );
  kit(
    "kit-2",
    "Brimble Wick 2nd kit",
    "brimble",
    19900,
    [
      ["plate-w2-12b", 1],
      ["general-005", 14]
    ],
    { weightG: 9200, omits: "Dowels, drawing", note: "Laser cut" }
  );
  kit(
    "kit-3",
    "Tessil Wick 1st kit",
    "tessil",
    42800,
    [
      ["plate-w1-16", 1],
      ["spacer-4", 1],
      ["general-001", 4],
      ["general-010", 8]
    ],
    { weightG: 12400, note: "Plate and spacer, bolts for the spacer" }
  );
  kit(
    "kit-4",
    "Tessil Wick spacer set",
    "tessil",
    14600,
    [
      ["spacer-4", 1],
      ["spacer-8", 1]
    ],
    { weightG: 2600 }
  );
  kit(
    "kit-5",
    "Tessil Quill kit",
    "tessil",
    39900,
    [
      ["plate-q-14", 1],
      ["bush-15", 1],
      ["general-001", 4]
    ],
    { weightG: 10600 }
  );
  kit("kit-6", "Pilot bush pair", "harbour", 3900, [
    ["bush-15", 1],
    ["bush-17", 1]
  ]);
  kit(
    "kit-7",
    "Marlund clutch kit",
    "harbour",
    21900,
    [
      ["marlund-4-cover", 1],
      ["marlund-4-disc-20", 1],
      ["marlund-4-release-bearing", 1]
    ],
    { weightG: 7800 }
  );
  kit(
    "kit-8",
    "Automatic cooler kit",
    "skarvik",
    21e4,
    [
      ["general-015", 1],
      ["general-017", 2]
    ],
    { weightG: 4100 }
  );
}
function donors(doc) {
  const donor = (id3, name2, money2, items, note) => {
    const [priceMinor, fetchMinor, disposalMinor, scrapMinor, repairMinor = 0, missingMinor = 0, storageMinor = 0] = money2;
    doc.add("donor", {
      id: id3,
      name: name2,
      place: "Outer island",
      currency: "EUR",
      priceMinor,
      fetchMinor,
      disposalMinor,
      scrapMinor,
      repairMinor,
      missingMinor,
      storageMinor,
      saleFee: 1 / 6,
      note
    });
    for (const [i, [partId, quantity, stripHours, saleMinor, chance, sellingHours]] of items.entries())
      doc.add("donorItem", { id: `${id3}-${i + 1}`, donorId: id3, partId, quantity, stripHours, saleMinor, chance, sellingHours, held: false });
  };
  donor(
    "donor-1",
    "Kessarn Pinnace saloon 1994, rust",
    [52e3, 9e3, 0, 12e3, 3500, 0, 2e3],
    [
      ["wick-2", 1, 6, 6e4, 0.5, 2],
      ["wick-2-flywheel", 1, 0.5, 9e3, 0.4, 0.5],
      ["wick-2-pilot", 1, 0.2, 0, 0, 0],
      ["kessarn-5", 1, 3, 4e4, 0.6, 1],
      ["kessarn-5-starter", 1, 0.4, 6e3, 0.5, 0.3],
      ["general-019", 2, 0.5, 2500, 0.3, 0.3]
    ],
    "Frame rotten, engine dry; started and driven"
  );
  donor("donor-2", "Bare Wick 2nd engine", [31e3, 6e3, 0, 0, 4e3, 46e3], [["wick-2", 1, 0, 3e4, 0.5, 1]], "No loom, no starter, no brackets");
  donor(
    "donor-3",
    "Kessarn Pinnace saloon 1988, front hit",
    [38e3, 11e3, 2e3, 9e3],
    [
      ["wick-1", 1, 6, 45e3, 0.5, 2],
      ["wick-1-flywheel", 1, 0.5, 8e3, 0.4, 0.5],
      ["kessarn-5", 1, 3, 4e4, 0.4, 1]
    ]
  );
  donor(
    "donor-4",
    "Sunagi Heron hatchback 1991",
    [46e3, 8e3, 0, 1e4],
    [
      ["quill-early", 1, 7, 52e3, 0.5, 2],
      ["sunagi-5", 1, 3, 36e3, 0.5, 1],
      ["quill-early-flywheel", 1, 0.5, 7e3, 0.3, 0.5]
    ]
  );
  donor(
    "donor-5",
    "Sunagi Heron hatchback 1996",
    [64e3, 8e3, 0, 11e3],
    [
      ["quill-late", 1, 7, 6e4, 0.5, 2],
      ["sunagi-5", 1, 3, 36e3, 0.5, 1]
    ]
  );
  donor(
    "donor-6",
    "Dovrek Hawser truck 1993",
    [14e4, 18e3, 3e3, 21e3],
    [
      ["anvil", 1, 9, 95e3, 0.5, 3],
      ["dovrek-4a", 1, 4, 6e4, 0.5, 2],
      ["anvil-flexplate", 1, 0.5, 7e3, 0.3, 0.5]
    ]
  );
}

// demo/other-builds.ts
var tape = { grade: "measured", by: "Tove", method: "tape-shaft" };
var rule = { grade: "measured", by: "Bram", method: "rule" };
function alder(doc) {
  doc.part("hawser", "vehicle", "1991 Dovrek Hawser crew truck", { fromYear: 1991, toYear: 1991 });
  doc.port("hawser", "axle", "rear", { ratio: 4.3, ladenKg: 1850 });
  doc.port("hawser", "tyre", "rear", { marking: "235/85R16" }, { grade: "measured", by: "Tove" });
  doc.port("hawser", "ratings", "torque-axle", { torqueNm: 7800, reference: "axle", basis: "peak" });
  doc.port(
    "hawser",
    "outline",
    "main",
    { layout: "lengthwise", blockFaceMm: 990, frontAxleMm: 480, firewallMm: 1120, rearAxleMm: 2950 },
    { grade: "measured", by: "Tove", method: "tape-bay" }
  );
  doc.port("hawser", "chassis-pads", "main", { crankAboveMm: 64, spreadMm: 560, angleDeg: 45, thread: "M10x1.5", captive: true }, rule);
  doc.port("hawser", "crossmember", "main", { alongMm: 1020, belowMm: 86, spacingMm: 80, slotMm: 10, thread: "M10x1.5", mayMove: true }, tape);
  doc.port("hawser", "front-axle", "main", { side: "left", turns: "as the rear", ratio: 4.3, shift: "lever" });
  doc.port("hawser", "starter-room", "main", { side: "left" }, { grade: "measured", by: "Tove" });
  doc.port("hawser", "pinion", "main", { alongMm: 2540, belowMm: 20, rightMm: 0, travelMm: 60, flange: "flange 94" }, tape);
  doc.claim("hawser/pinion/main", "noseUpDeg", 2.4, "measured", { by: "Tove", method: "level" });
  doc.port("hawser", "propshaft", "main", { type: "flange", circleMm: 80, lengthMm: 1310, slipMm: 110, tubeMm: 88.9, wallMm: 1.65, yokeDeg: 25 }, tape);
  doc.port("hawser", "take-off", "main", { family: "six bolt", side: "left", moduleMm: 3.5, turns: "with the engine", reachMm: 190 });
  doc.port("hawser", "speed-reader", "main", { type: "cable", perKm: 470 });
  doc.port("hawser", "switch-wants", "main", { reverse: true, interlock: "neutral or park switch" });
  doc.add("build", {
    id: "alder",
    name: "Alder",
    recipientId: "hawser",
    why: "Too weak with the crew and the winch aboard. The transfer case and its shafts are sound and stay.",
    use: "towing",
    currency: "EUR",
    taxRate: 0.21,
    labourRateMinor: 4800,
    contingency: 0.25,
    likeForLikeMinor: 41e4,
    mustWork: ["air-conditioning", "four-wheel-drive", "power-take-off", "speedometer"],
    inspection: true,
    school: "keep"
  });
  doc.add("pairing", { id: "alder-pairing", buildId: "alder", engineId: "maul-2", transmissionId: "dovrek-4a-maul", chosen: true, inserted: [] });
  sheet(doc, "alder", "law", {
    "allowed:state": "Asked",
    "allowed:date": "2026-10-20",
    "allowed:who": "Inspecting office, by letter",
    "engineer:state": "To ask",
    "emissions:state": "Yes, in writing",
    "emissions:paper": "Class letter, folder 3"
  });
  sheet(doc, "alder", "brief", {
    reason: "Too weak",
    "tool:weld": "yes",
    "tool:machine": "no",
    "tool:hoist": "yes",
    "target-nm": "450 N\xB7m",
    "needed-daily": "Weekdays; the old truck of the quarry stands in until March"
  });
}
function sprat(doc) {
  doc.part("whimbrel", "vehicle", "1996 Obrelle Whimbrel coup\xE9", { fromYear: 1996, toYear: 1996 });
  doc.port("whimbrel", "axle", "front", { ladenKg: 760 }, { grade: "catalogue" });
  doc.port("whimbrel", "tyre", "front", { marking: "195/55R15" }, { grade: "measured", by: "Tove" });
  doc.port("whimbrel", "outline", "main", { layout: "crosswise" }, { grade: "catalogue" });
  doc.port("whimbrel", "clutch-pedal", "main", { travelMm: 132, ratio: 5.2 }, rule);
  doc.port("whimbrel", "drive-shafts", "main", { family: "tripod 26", splines: 25, hubSplines: 25, plungeMm: 18, mostDeg: 22 }, { grade: "catalogue" });
  doc.port("whimbrel", "switch-wants", "main", { reverse: true, interlock: "clutch switch" });
  doc.add("build", {
    id: "sprat",
    name: "Sprat",
    recipientId: "whimbrel",
    why: "Club rallycross, two litres at the most. The newer engine of the family has forty more horses and a throttle by wire.",
    use: "track",
    currency: "EUR",
    taxRate: 0.21,
    labourRateMinor: 4800,
    contingency: 0.3,
    mustWork: ["gauges"],
    school: "keep"
  });
  doc.add("pairing", { id: "sprat-pairing", buildId: "sprat", engineId: "tarn-3", transmissionId: "obrelle-5x", chosen: true, inserted: [] });
  sheet(doc, "sprat", "brief", { reason: "Too weak", uncut: "yes", looks: "It must work", "needed-daily": "Never: it comes on a trailer" });
}
function sheet(doc, buildId, kind, answers2) {
  const at2 = "2026-10-21T18:30:00.000Z";
  doc.add("buildSheet", {
    id: `sheet-${buildId}-${kind}`,
    buildId,
    kind,
    answers: Object.fromEntries(Object.entries(answers2).map(([id3, value]) => [id3, { value, at: at2, by: "Tove" }]))
  });
}

// demo/index.ts
function demoDocument(scale = 1) {
  const doc = new DocumentWriter();
  recipients(doc);
  trains(doc);
  moreEngines(doc);
  moreGearboxes(doc);
  transferCases(doc);
  adapters(doc);
  doc.part("marlund-4-disc-20", "disc", "Marlund clutch disc 200, later");
  doc.port("marlund-4-disc-20", "disc-hub", "main", discOf(-6, 18));
  doc.port("marlund-4-disc-20", "disc-face", "main", { outerMm: 225, innerMm: 150, friction: 0.3 });
  shafts(doc);
  market(doc, 500 * scale, 150 * scale);
  kits(doc);
  donors(doc);
  numbers(doc);
  measurements(doc);
  lantern(doc);
  alder(doc);
  sprat(doc);
  people(doc);
  return { format: "junket-build", version: 1, tables: doc.tables };
}
function recipients(doc) {
  doc.part("packet", "vehicle", "1979 Marlund Packet van", { fromYear: 1979, toYear: 1979 });
  doc.port("packet", "axle", "rear", { ratio: 4.11 });
  doc.claim("packet/axle/rear", "ladenKg", 1340, "measured", { by: "Ida", method: "scale", day: "2026-10-03" });
  doc.port("packet", "tyre", "rear", { marking: "185/80R14" }, { grade: "measured", by: "Ida" });
  doc.port("packet", "ratings", "torque-axle", { torqueNm: 4400, reference: "axle", basis: "peak" });
  doc.port("packet", "outline", "main", { layout: "lengthwise" }, { grade: "measured", by: "Ida" });
  for (const [field, mm] of [
    ["blockFaceMm", 640],
    ["frontAxleMm", 300],
    ["firewallMm", 812],
    ["rearAxleMm", 2640]
  ])
    doc.claim("packet/outline/main", field, mm, "measured", { by: "Ida", method: "tape-bay", day: "2026-10-03" });
  doc.port("packet", "chassis-pads", "main", { crankAboveMm: 40, spreadMm: 480, angleDeg: 45, thread: "M10x1.5", captive: true }, { grade: "measured", by: "Bram", method: "rule" });
  doc.port(
    "packet",
    "crossmember",
    "main",
    { alongMm: 752, belowMm: 85, spacingMm: 80, slotMm: 6, thread: "M10x1.5", mayMove: true },
    { grade: "measured", by: "Bram", method: "tape-shaft" }
  );
  const under = doc.port("packet", "under-engine", "main", {});
  doc.claim(
    under,
    "zones",
    [
      { fromMm: -130, toMm: -90, depthMm: 150, moving: true, name: "tie rod" },
      { fromMm: -40, toMm: 40, depthMm: 120, name: "crossmember" }
    ],
    "measured",
    { by: "Ida", method: "tape-bay", day: "2026-10-03" }
  );
  driveline(doc);
  doc.part("lugger", "vehicle", "1984 Kessarn Lugger pickup", { fromYear: 1984, toYear: 1984 });
  doc.port("lugger", "axle", "rear", { ratio: 3.9, ladenKg: 1500 }, { grade: "catalogue" });
  doc.port("lugger", "tyre", "rear", { marking: "195/75R15" }, { grade: "catalogue" });
  doc.port("lugger", "outline", "main", { layout: "lengthwise" }, { grade: "catalogue" });
}
function driveline(doc) {
  const tape3 = { grade: "measured", by: "Ida", method: "tape-shaft" };
  const rule3 = { grade: "measured", by: "Bram", method: "rule" };
  doc.port("packet", "starter-room", "main", { side: "both" }, { grade: "measured", by: "Ida" });
  doc.port("packet", "clutch-pedal", "main", { travelMm: 140, ratio: 5.5, strokeMm: 30 }, rule3);
  doc.claim("packet/clutch-pedal/main", "masterMm", 19.05, "maker");
  doc.port("packet", "pinion", "main", { alongMm: 2150, belowMm: 5, rightMm: 0, travelMm: 40 }, tape3);
  doc.claim("packet/pinion/main", "noseUpDeg", 1.5, "measured", { by: "Ida", method: "level" });
  doc.port("packet", "propshaft", "main", { type: "slip", splines: 24, lengthMm: 1199, slipMm: 90 }, tape3);
  for (const [field, mm] of [
    ["majorMm", 32.2],
    ["tubeMm", 76.2],
    ["wallMm", 1.65],
    ["yokeDeg", 25]
  ])
    doc.claim("packet/propshaft/main", field, mm, "maker");
  doc.claim("packet/pinion/main", "flange", "flange 94", "maker");
  doc.port("packet", "bay", "main", { lengthMm: 690, widthMm: 640, heightMm: 455 }, { grade: "measured", by: "Ida", method: "tape-bay" });
  doc.port("packet", "tunnel", "main", { bellMm: 352, leverMm: 318, tailMm: 291 }, rule3);
  doc.port("marlund-4", "tunnel", "main", { bellMm: 330, leverMm: 296, tailMm: 262 }, rule3);
  doc.port("packet", "lever-opening", "main", { fromMm: 710, toMm: 840, work: "lever on the case", mayCut: true }, tape3);
  doc.port("packet", "speed-reader", "main", { type: "cable", perKm: 620 });
  doc.port("packet", "switch-wants", "main", { reverse: true, interlock: "clutch switch" });
}
function shafts(doc) {
  const halves = [
    ["half-yoke-24", "Slip yoke and tube, 24 splines", "inner", "24 splines", "tube 76", 640, 0, 120],
    ["half-yoke-24-long", "Slip yoke and tube, 24 splines, long", "inner", "24 splines", "tube 76", 890, 0, 120],
    ["half-yoke-26", "Slip yoke and tube, 26 splines", "inner", "26 splines", "tube 76", 700, 0, 120],
    ["half-yoke-25", "Slip yoke and tube, 25 splines", "inner", "25 splines", "tube 63", 720, 0, 100],
    ["half-rear-94", "Rear half, flange 94", "outer", "flange 94", "tube 76", 620, 30, 120],
    ["half-rear-94-short", "Rear half, flange 94, short", "outer", "flange 94", "tube 76", 410, 30, 120],
    ["half-rear-88", "Rear half, flange 88", "outer", "flange 88", "tube 76", 600, 30, 120]
  ];
  for (const [id3, name2, end2, fits, bar, lengthMm, overlapLowMm, overlapHighMm] of halves) {
    doc.part(id3, "shaft-half", name2);
    doc.port(id3, "shaft-half", "main", { end: end2, fits, bar, lengthMm, overlapLowMm, overlapHighMm }, { grade: "catalogue" });
    if (id3 !== "half-rear-88")
      doc.add("offer", {
        id: `offer-${id3}`,
        partId: id3,
        supplierId: "harbour",
        issuerId: "issuer-HBP",
        number: `HBP ${id3.slice(5).toUpperCase()}`,
        normalised: `HBP${id3.slice(5).toUpperCase().replaceAll("-", "")}`,
        description: name2,
        priceMinor: end2 === "inner" ? 8900 + lengthMm * 4 : 7200 + lengthMm * 4,
        currency: "EUR",
        taxIncluded: true,
        pack: 1,
        stock: 2,
        leadDays: 4,
        condition: "new"
      });
  }
}
function numbers(doc) {
  doc.number("marlund-4-disc", "MLD", "417.18");
  doc.number("marlund-4-disc-20", "MLD", "417.20");
  doc.add("supersession", { id: "supersession-disc", partId: "marlund-4-disc", issuerId: "issuer-MLD", oldNumber: "417.18", newNumber: "417.20", oneWay: true });
  doc.number("marlund-4-cover", "MLD", "417.02");
  doc.number("marlund-4-release-bearing", "MLD", "417.08");
  doc.number("marlund-4-starter", "MLD", "455.10");
  doc.number("wick-2-flywheel", "KSN", "311.2");
  doc.number("wick-2-pilot", "KSN", "311.9");
  doc.number("plate-w2-12", "TSL", "12.04");
  doc.number("plate-w1-16", "TSL", "16.04");
  doc.number("plate-q-14", "TSL", "14.02");
  doc.number("spacer-4", "TSL", "16.05");
  doc.number("plate-w2-12b", "BRM", "W2-12");
  doc.add("offer", {
    id: "offer-disc-later",
    partId: "marlund-4-disc-20",
    supplierId: "harbour",
    issuerId: "issuer-MLD",
    number: "MLD 417.20",
    normalised: "41720",
    description: "Clutch disc 200",
    priceMinor: 7900,
    currency: "EUR",
    taxIncluded: true,
    pack: 1,
    stock: 6,
    leadDays: 2,
    condition: "new"
  });
}
function measurements(doc) {
  const bench = [
    ["wick-2/crank-flange/main", "proudMm", 14.72, "bar-caliper", "Ida"],
    ["wick-2/pilot-bore/crank", "boreMm", 25.001, "micrometer", "Bram"],
    ["marlund-4/input-shaft/main", "tipMm", -14.05, "bar-caliper", "Bram"],
    ["marlund-4/input-shaft/main", "noseMm", 14.999, "micrometer", "Bram"],
    ["marlund-4-starter/starter/main", "pinionMm", 22.95, "bar-caliper", "Tove"],
    ["hob/crank-flange/main", "proudMm", 4.18, "bar-caliper", "Ida"]
  ];
  for (const [port2, field, value, method2, by2] of bench) doc.claim(port2, field, value, "measured", { method: method2, by: by2 });
  doc.claim("marlund-4/ratings/torque", "torqueNm", 260, "heard", { source: "Kit seller, who sells it", by: "Tove" });
  doc.claim("wick-2/crank-flange/main", "proudMm", 13, "heard", { source: "Advert", by: "Tove" });
}
function lantern(doc) {
  doc.add("build", {
    id: "lantern",
    name: "Lantern",
    recipientId: "packet",
    why: "Frost split the block and no other can be had. Books weigh 700 kg and the ferry ramps are steep.",
    use: "delivery",
    currency: "EUR",
    taxRate: 0.21,
    labourRateMinor: 4800,
    contingency: 0.22,
    likeForLikeMinor: 295e3,
    mustWork: ["brake-assist", "gauges", "heater", "speedometer"],
    inspection: true,
    school: "keep"
  });
  doc.add("pairing", { id: "lantern-pairing", buildId: "lantern", engineId: "wick-2", transmissionId: "marlund-4", chosen: true, inserted: ["plate-w2-12"] });
  doc.add("pairing", { id: "lantern-in-play", buildId: "lantern", engineId: "quill-late", transmissionId: "sunagi-5", chosen: false, inserted: [] });
  const price = (needId2, act, priceMinor, source) => void doc.add("decision", { id: `decision-${needId2.replaceAll("/", "-")}`, buildId: "lantern", needId: needId2, act, priceMinor, source });
  price("propshaft/driveline/main", "estimate", 38e3, "Last two builds");
  price("papers/papers/main", "estimate", 9e3, "Registration office, by telephone");
}
function people(doc) {
  for (const [id3, name2, decimal] of [
    ["person-bram", "Bram", "comma"],
    ["person-ida", "Ida", "comma"],
    ["person-tove", "Tove", "ask"]
  ])
    doc.add("person", { id: id3, name: name2, decimal });
  const says = { "pilot-bore": "yes", "crank-sensor": "unknown", "sump-end": "yes", rotation: "yes", "starter-side": "yes", papers: "yes", law: "unknown" };
  for (const [question, answer] of Object.entries(says))
    doc.add("jointClaim", { id: `stopper-${question}`, buildId: "lantern", subject: "stopper", question, says: answer, grade: "heard", saidBy: "Ida", day: "2026-10-02" });
  doc.add("jointClaim", {
    id: "claim-club-van",
    subject: "build",
    engineId: "quill-late",
    transmissionId: "marlund-4",
    says: "yes",
    grade: "heard",
    sentence: "A van of the ferry club runs this pair.",
    source: "Told at the ferry, a photo promised",
    saidBy: "Tove",
    day: "2026-09-20",
    distanceKm: 41e3,
    changes: "Home-made plate, sump turned",
    known: 1
  });
  const at2 = "2026-10-14T09:20:00.000Z";
  const answers2 = {
    "papers-in-hand": "yes",
    "engine-number": "WK2 0417 883",
    "number-agrees": "yes",
    "why-sold": "Frame failed inspection",
    "starts-cold": "yes",
    "runs-even": "yes",
    "oil-pressure": "1.4 bar",
    "gear-2": "no",
    "hit-front": "no",
    "hit-rear": "yes",
    "dry-under": "yes",
    "has:starter/coupling/main": "no"
  };
  doc.add("donorSheet", {
    id: "sheet-donor-1",
    buildId: "lantern",
    donorId: "donor-1",
    answers: Object.fromEntries(Object.entries(answers2).map(([id3, value]) => [id3, { value, at: at2, by: "Bram" }]))
  });
}

// server/database/connection.ts
import { mkdirSync } from "node:fs";
import { dirname } from "node:path";
import knexFactory from "knex";

// server/database/migrations/20261125_0001_create_tables.ts
var create_tables_exports = {};
__export(create_tables_exports, {
  down: () => down,
  up: () => up
});
async function up(knex2) {
  for (const statement of STATEMENTS) await knex2.raw(statement);
}
async function down() {
  throw new Error("This migration cannot be undone: restore a backup instead.");
}
var MONEY = (name2, rest = "NOT NULL DEFAULT 0") => `${name2} INTEGER ${rest} CHECK (${name2} IS NULL OR typeof(${name2}) = 'integer')`;
var CURRENCY = (name2 = "currency") => `${name2} TEXT NOT NULL CHECK (length(${name2}) = 3)`;
var HEAD = `id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1`;
var STATEMENTS = [
  `CREATE TABLE issuer (${HEAD}, name TEXT NOT NULL UNIQUE, upper INTEGER NOT NULL DEFAULT 1, noise TEXT NOT NULL DEFAULT ' .-')`,
  `CREATE TABLE supplier (${HEAD}, name TEXT NOT NULL UNIQUE, place TEXT, ${CURRENCY()}, ${MONEY("minimum_minor")}, ${MONEY("shipping_minor")}, ${MONEY("free_over_minor", "")})`,
  `CREATE TABLE rate (${HEAD}, from_currency TEXT NOT NULL, to_currency TEXT NOT NULL, rate REAL NOT NULL CHECK (rate > 0), day TEXT NOT NULL, source TEXT)`,
  `CREATE TABLE part (${HEAD}, kind TEXT NOT NULL, name TEXT NOT NULL CHECK (length(name) > 0), owner_id TEXT REFERENCES part(id), is_default INTEGER NOT NULL DEFAULT 1, from_year INTEGER, to_year INTEGER, mass_g INTEGER, note TEXT)`,
  `CREATE UNIQUE INDEX part_default ON part(owner_id, kind) WHERE owner_id IS NOT NULL AND is_default = 1 AND kind NOT IN ('engine', 'transmission')`,
  `CREATE INDEX part_kind ON part(kind)`,
  `CREATE TABLE part_number (${HEAD}, part_id TEXT NOT NULL REFERENCES part(id), issuer_id TEXT NOT NULL REFERENCES issuer(id), number TEXT NOT NULL, normalised TEXT NOT NULL)`,
  `CREATE UNIQUE INDEX part_number_once ON part_number(issuer_id, normalised)`,
  `CREATE INDEX part_number_part ON part_number(part_id)`,
  `CREATE TABLE supersession (${HEAD}, part_id TEXT NOT NULL REFERENCES part(id), issuer_id TEXT NOT NULL REFERENCES issuer(id), old_number TEXT NOT NULL, new_number TEXT NOT NULL, one_way INTEGER NOT NULL DEFAULT 0)`,
  `CREATE TABLE port (id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1, part_id TEXT NOT NULL REFERENCES part(id), kind TEXT NOT NULL, slot TEXT NOT NULL, looks TEXT CHECK (looks IN ('forward', 'rearward')))`,
  `CREATE INDEX port_part ON port(part_id)`,
  `CREATE TABLE build (${HEAD}, name TEXT NOT NULL CHECK (length(name) > 0), recipient_id TEXT REFERENCES part(id), why TEXT, use TEXT, ${CURRENCY()}, tax_rate REAL NOT NULL DEFAULT 0, ${MONEY("labour_rate_minor")}, contingency REAL NOT NULL DEFAULT 0.2, ${MONEY("like_for_like_minor", "")}, must_work TEXT NOT NULL DEFAULT '{"v":1,"data":[]}', inspection INTEGER, school TEXT NOT NULL DEFAULT 'keep', max_suppliers INTEGER, max_donors INTEGER)`,
  `CREATE TABLE specimen (${HEAD}, part_id TEXT NOT NULL REFERENCES part(id), build_id TEXT NOT NULL REFERENCES build(id), name TEXT NOT NULL, UNIQUE (build_id, part_id))`,
  `CREATE TABLE claim (${HEAD}, port_id TEXT NOT NULL REFERENCES port(id), field TEXT NOT NULL, value TEXT NOT NULL, plus_minus REAL CHECK (plus_minus IS NULL OR plus_minus >= 0), grade TEXT NOT NULL CHECK (grade IN ('assumed', 'heard', 'catalogue', 'maker', 'measured', 'fitted')), method TEXT, source TEXT, said_by TEXT, day TEXT, specimen_id TEXT REFERENCES specimen(id), typed TEXT)`,
  `CREATE INDEX claim_port ON claim(port_id)`,
  `CREATE TABLE port_value (port_id TEXT NOT NULL REFERENCES port(id) ON DELETE CASCADE, field TEXT NOT NULL, number REAL, text TEXT, claim_id TEXT NOT NULL, PRIMARY KEY (port_id, field)) WITHOUT ROWID`,
  `CREATE TABLE kit (${HEAD}, name TEXT NOT NULL, supplier_id TEXT REFERENCES supplier(id), ${MONEY("price_minor")}, ${CURRENCY()}, tax_included INTEGER NOT NULL DEFAULT 1, weight_g INTEGER, omits TEXT, note TEXT)`,
  `CREATE TABLE kit_item (${HEAD}, kit_id TEXT NOT NULL REFERENCES kit(id), part_id TEXT NOT NULL REFERENCES part(id), quantity INTEGER NOT NULL DEFAULT 1 CHECK (quantity > 0))`,
  `CREATE TABLE donor (${HEAD}, name TEXT NOT NULL, place TEXT, ${CURRENCY()}, ${MONEY("price_minor")}, ${MONEY("fetch_minor")}, ${MONEY("disposal_minor")}, ${MONEY("scrap_minor")}, sale_fee REAL NOT NULL DEFAULT 0.1666666667, note TEXT)`,
  `CREATE TABLE donor_item (${HEAD}, donor_id TEXT NOT NULL REFERENCES donor(id), part_id TEXT NOT NULL REFERENCES part(id), quantity INTEGER NOT NULL DEFAULT 1 CHECK (quantity > 0), strip_hours REAL NOT NULL DEFAULT 0, ${MONEY("sale_minor")}, chance REAL NOT NULL DEFAULT 0 CHECK (chance BETWEEN 0 AND 1), selling_hours REAL NOT NULL DEFAULT 0, held INTEGER NOT NULL DEFAULT 0)`,
  `CREATE TABLE offer (${HEAD}, part_id TEXT NOT NULL REFERENCES part(id), supplier_id TEXT NOT NULL REFERENCES supplier(id), issuer_id TEXT REFERENCES issuer(id), number TEXT, normalised TEXT, description TEXT, ${MONEY("price_minor")}, ${CURRENCY()}, tax_included INTEGER NOT NULL DEFAULT 1, pack INTEGER NOT NULL DEFAULT 1 CHECK (pack > 0), stock INTEGER CHECK (stock IS NULL OR stock >= 0), lead_days INTEGER CHECK (lead_days IS NULL OR lead_days >= 0), condition TEXT NOT NULL DEFAULT 'new')`,
  `CREATE UNIQUE INDEX offer_once ON offer(supplier_id, issuer_id, normalised, condition, pack) WHERE normalised IS NOT NULL`,
  `CREATE INDEX offer_part ON offer(part_id)`,
  `CREATE TABLE pairing (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), engine_id TEXT NOT NULL REFERENCES part(id), transmission_id TEXT NOT NULL REFERENCES part(id), chosen INTEGER NOT NULL DEFAULT 0, inserted TEXT, UNIQUE (build_id, engine_id, transmission_id))`,
  `CREATE TABLE coupling_choice (${HEAD}, pairing_id TEXT NOT NULL REFERENCES pairing(id), kind TEXT NOT NULL, part_id TEXT NOT NULL REFERENCES part(id), UNIQUE (pairing_id, kind))`,
  `CREATE TABLE decision (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), need_id TEXT NOT NULL, act TEXT NOT NULL CHECK (act IN ('drop', 'price', 'estimate', 'keep')), ${MONEY("price_minor", "")}, source TEXT, note TEXT, UNIQUE (build_id, need_id, act))`,
  `CREATE TABLE sourcing_lock (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), way TEXT NOT NULL CHECK (way IN ('in', 'out')), candidate TEXT, bundle TEXT, supplier_id TEXT REFERENCES supplier(id), UNIQUE (build_id, candidate, bundle, supplier_id))`,
  `CREATE TABLE plan (${HEAD}, build_id TEXT NOT NULL REFERENCES build(id), status TEXT NOT NULL, ${MONEY("total_minor", "")}, ${MONEY("bound_minor", "")}, day TEXT NOT NULL, made_from TEXT NOT NULL, detail TEXT NOT NULL)`,
  `CREATE TABLE plan_line (${HEAD}, plan_id TEXT NOT NULL REFERENCES plan(id), need_id TEXT NOT NULL, source TEXT NOT NULL, candidate TEXT, bundle TEXT, item TEXT, supplier_id TEXT REFERENCES supplier(id), part_id TEXT REFERENCES part(id), packs INTEGER NOT NULL, ${MONEY("cost_minor")})`,
  `CREATE INDEX plan_line_plan ON plan_line(plan_id)`,
  `CREATE TABLE setting (id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1, value TEXT NOT NULL)`,
  `CREATE TABLE history (id INTEGER PRIMARY KEY AUTOINCREMENT, at TEXT NOT NULL, who TEXT NOT NULL, entity TEXT NOT NULL, entity_id TEXT NOT NULL, act TEXT NOT NULL, before TEXT, after TEXT)`,
  `CREATE INDEX history_entity ON history(entity, entity_id)`,
  `CREATE TRIGGER history_is_append_only BEFORE UPDATE ON history BEGIN SELECT RAISE(ABORT, 'history is append-only'); END`,
  `CREATE TRIGGER history_is_kept BEFORE DELETE ON history BEGIN SELECT RAISE(ABORT, 'history is append-only'); END`,
  `CREATE TABLE trash (id TEXT PRIMARY KEY NOT NULL, entity TEXT NOT NULL, entity_id TEXT NOT NULL, at TEXT NOT NULL, rows TEXT NOT NULL)`,
  `CREATE TABLE job (id TEXT PRIMARY KEY NOT NULL, kind TEXT NOT NULL, subject_id TEXT NOT NULL, status TEXT NOT NULL, started TEXT NOT NULL, ended TEXT, error TEXT)`
];

// server/database/migrations/20261125_0002_add_people_claims_and_sheets.ts
var add_people_claims_and_sheets_exports = {};
__export(add_people_claims_and_sheets_exports, {
  down: () => down2,
  up: () => up2
});
async function up2(knex2) {
  for (const statement of STATEMENTS2) await knex2.raw(statement);
  const [unit2] = await knex2("setting").where({ id: "lengthUnit" });
  if (unit2 && JSON.parse(unit2.value).data === "in") await knex2("setting").insert({ id: "units", value: '{"v":1,"data":{"mm":"in"}}' });
  await knex2("setting").where({ id: "lengthUnit" }).delete();
}
async function down2() {
  throw new Error("This migration cannot be undone: restore a backup instead.");
}
var HEAD2 = `id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1`;
var GRADES = `'assumed', 'heard', 'catalogue', 'maker', 'measured', 'fitted'`;
var STATEMENTS2 = [
  `CREATE TABLE person (${HEAD2}, name TEXT NOT NULL UNIQUE CHECK (length(name) > 0), decimal TEXT NOT NULL DEFAULT 'ask' CHECK (decimal IN ('ask', 'point', 'comma')))`,
  `ALTER TABLE history ADD COLUMN command TEXT`,
  `CREATE INDEX history_command ON history(command)`,
  `CREATE TABLE joint_claim (${HEAD2}, build_id TEXT REFERENCES build(id), subject TEXT NOT NULL CHECK (subject IN ('joint', 'kit', 'build', 'stopper')), joint TEXT, question TEXT, engine_id TEXT REFERENCES part(id), transmission_id TEXT REFERENCES part(id), engine_family TEXT, transmission_family TEXT, kit_id TEXT REFERENCES kit(id), says TEXT NOT NULL CHECK (says IN ('yes', 'no', 'unknown')), grade TEXT NOT NULL CHECK (grade IN (${GRADES})), sentence TEXT, source TEXT, said_by TEXT, day TEXT, distance_km REAL, changes TEXT, known INTEGER)`,
  `CREATE INDEX joint_claim_build ON joint_claim(build_id)`,
  `CREATE TABLE donor_sheet (${HEAD2}, build_id TEXT NOT NULL REFERENCES build(id), donor_id TEXT NOT NULL REFERENCES donor(id), answers TEXT NOT NULL DEFAULT '{"v":1,"data":{}}', UNIQUE (build_id, donor_id))`,
  `ALTER TABLE part ADD COLUMN template TEXT`,
  // A decision may also confirm a line: its check is made anew, and with it the table.
  `CREATE TABLE decision_next (${HEAD2}, build_id TEXT NOT NULL REFERENCES build(id), need_id TEXT NOT NULL, act TEXT NOT NULL CHECK (act IN ('drop', 'price', 'estimate', 'keep', 'confirm')), price_minor INTEGER CHECK (price_minor IS NULL OR typeof(price_minor) = 'integer'), source TEXT, note TEXT, UNIQUE (build_id, need_id, act))`,
  `INSERT INTO decision_next (id, version, build_id, need_id, act, price_minor, source, note) SELECT id, version, build_id, need_id, act, price_minor, source, note FROM decision`,
  `DROP TABLE decision`,
  `ALTER TABLE decision_next RENAME TO decision`,
  ...["repair_minor", "missing_minor", "storage_minor"].map((column) => `ALTER TABLE donor ADD COLUMN ${column} INTEGER NOT NULL DEFAULT 0 CHECK (typeof(${column}) = 'integer')`)
];

// server/database/migrations/20261125_0003_add_mating_cards.ts
var add_mating_cards_exports = {};
__export(add_mating_cards_exports, {
  down: () => down3,
  up: () => up3
});
async function up3(knex2) {
  await knex2.raw(
    `CREATE TABLE mating_card (id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1, build_id TEXT NOT NULL REFERENCES build(id), engine_id TEXT NOT NULL REFERENCES part(id), transmission_id TEXT NOT NULL REFERENCES part(id), answers TEXT NOT NULL DEFAULT '{"v":1,"data":{}}', UNIQUE (build_id, engine_id, transmission_id))`
  );
}
async function down3() {
  throw new Error("This migration cannot be undone: restore a backup instead.");
}

// server/database/migrations/20261125_0004_add_build_sheets.ts
var add_build_sheets_exports = {};
__export(add_build_sheets_exports, {
  down: () => down4,
  up: () => up4
});
async function up4(knex2) {
  await knex2.raw(
    `CREATE TABLE build_sheet (id TEXT PRIMARY KEY NOT NULL, version INTEGER NOT NULL DEFAULT 1, build_id TEXT NOT NULL REFERENCES build(id), kind TEXT NOT NULL, answers TEXT NOT NULL DEFAULT '{"v":1,"data":{}}', UNIQUE (build_id, kind))`
  );
}
async function down4() {
  throw new Error("This migration cannot be undone: restore a backup instead.");
}

// server/database/migrations/20261128_0005_add_indexes.ts
var add_indexes_exports = {};
__export(add_indexes_exports, {
  down: () => down5,
  up: () => up5
});
async function up5(knex2) {
  for (const [table, column] of INDEXED) await knex2.raw(`CREATE INDEX ${table}_by_${column} ON ${table}(${column})`);
  await knex2.raw("DROP TABLE job");
}
async function down5() {
  throw new Error("This migration cannot be undone: restore a backup instead.");
}
var INDEXED = [
  ["part", "owner_id"],
  ["part_number", "normalised"],
  ["supersession", "part_id"],
  ["claim", "specimen_id"],
  ["specimen", "part_id"],
  ["kit", "supplier_id"],
  ["kit_item", "kit_id"],
  ["kit_item", "part_id"],
  ["donor_item", "donor_id"],
  ["donor_item", "part_id"],
  ["offer", "supplier_id"],
  ["plan", "build_id"],
  ["plan_line", "part_id"],
  ["joint_claim", "engine_id"],
  ["joint_claim", "transmission_id"],
  ["history", "who"]
];

// server/database/connection.ts
var MIGRATIONS = [
  { name: "20261125_0001_create_tables", ...create_tables_exports },
  { name: "20261125_0002_add_people_claims_and_sheets", ...add_people_claims_and_sheets_exports },
  { name: "20261125_0003_add_mating_cards", ...add_mating_cards_exports },
  { name: "20261125_0004_add_build_sheets", ...add_build_sheets_exports },
  { name: "20261128_0005_add_indexes", ...add_indexes_exports }
];
var snake = (name2) => name2.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
var camelNames = /* @__PURE__ */ new Map();
function camel(name2) {
  let found = camelNames.get(name2);
  if (found === void 0) camelNames.set(name2, found = name2.replace(/_([a-z])/g, (_, letter) => letter.toUpperCase()));
  return found;
}
var camelRow = (row) => row !== null && typeof row === "object" && !Array.isArray(row) ? renamed(row) : row;
function renamed(row) {
  const out2 = {};
  for (const key in row) out2[camel(key)] = row[key];
  return out2;
}
async function openDatabase(file, migrations = MIGRATIONS) {
  if (typeof file === "string" && file !== ":memory:") mkdirSync(dirname(file), { recursive: true });
  const knex2 = connect(file, migrations);
  await knex2.migrate.latest();
  return knex2;
}
function connect(file, migrations = MIGRATIONS) {
  return knexFactory({
    client: "better-sqlite3",
    connection: { filename: file },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate: (connection, done) => {
        for (const pragma of ["journal_mode = WAL", "foreign_keys = ON", "busy_timeout = 5000", "synchronous = FULL"]) connection.pragma(pragma);
        done(null);
      }
    },
    wrapIdentifier: (value, wrap) => value === "*" ? wrap(value) : wrap(snake(value)),
    postProcessResponse: (result) => Array.isArray(result) ? result.map(camelRow) : camelRow(result),
    migrations: {
      migrationSource: {
        getMigrations: async () => migrations,
        getMigrationName: (migration) => migration.name,
        getMigration: async (migration) => migration
      }
    }
  });
}

// server/database/store.ts
import { setImmediate } from "node:timers/promises";
import { v7 as uuidv7 } from "uuid";

// server/errors.ts
var ProblemError = class extends Error {
  status;
  extra;
  constructor(status, message, extra = {}) {
    super(message);
    this.status = status;
    this.extra = extra;
  }
};
var MissingError = class extends ProblemError {
  constructor(message) {
    super(404, message);
  }
};
var ConflictError = class extends ProblemError {
  constructor(message, extra = {}) {
    super(409, message, extra);
  }
};
var UnprocessableError = class extends ProblemError {
  constructor(message, faults = []) {
    super(422, message, faults.length > 0 ? { errors: faults } : {});
  }
};

// server/database/actor.ts
import { AsyncLocalStorage } from "node:async_hooks";
var storage = new AsyncLocalStorage();
var actorNow = () => storage.getStore();

// server/database/changes.ts
var listeners = /* @__PURE__ */ new WeakMap();
function onChange(root, listener) {
  let held2 = listeners.get(root);
  if (!held2) listeners.set(root, held2 = /* @__PURE__ */ new Set());
  held2.add(listener);
  return () => void held2.delete(listener);
}
var counts = /* @__PURE__ */ new WeakMap();
var changesTold = (root) => counts.get(root) ?? 0;
function announce(root, change) {
  counts.set(root, changesTold(root) + 1);
  for (const listener of listeners.get(root) ?? []) listener(change);
}

// contract/stored.ts
import { z as z9 } from "zod";

// core/day.ts
import { TZDate } from "@date-fns/tz";
import { lightFormat } from "date-fns";
function isTimeZone(zone) {
  try {
    new Intl.DateTimeFormat("en", { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
var dayIn = (zone, at2) => {
  if (!isTimeZone(zone)) throw new RangeError(`"${zone}" is not a time zone.`);
  return lightFormat(new TZDate(at2.getTime(), zone), "yyyy-MM-dd");
};

// core/identity/part-kinds.ts
var PART_KINDS = {
  engine: {
    words: "Engine",
    group: "Engine",
    ports: [
      "engine-output/main",
      "face/rear/rearward",
      "crank-flange/main",
      "pilot-bore/crank",
      "converter-bore/main",
      "starter-seat/block/rearward",
      "crank-sensor/main",
      "front-drive/main",
      "load-source/main",
      "engine-pads/main",
      "sump/main",
      "outline/main"
    ]
  },
  transmission: {
    words: "Transmission",
    group: "Transmission",
    ports: [
      "face/front/forward",
      "face/rear/rearward",
      "input-shaft/main",
      "ratios/main",
      "ratings/torque",
      "ratings/speed",
      "original-stack/main",
      "pump/main",
      "release-gear/main",
      "starter-seat/bell/forward",
      "sensor-seat/main",
      "load-signal/main",
      "case-shaft/main",
      "output/main",
      "side-outputs/main",
      "take-off-opening/main",
      "lever/main",
      "speed-drive/main",
      "switches/main",
      "mount-pad/main",
      "tunnel/main",
      "outline/main"
    ]
  },
  "transfer-case": {
    words: "Transfer case",
    group: "Mounts and driveline",
    ports: ["face/front/forward", "transfer-input/main", "transfer/main", "output/main", "speed-drive/main", "ratings/torque", "outline/main"]
  },
  vehicle: {
    words: "Vehicle",
    group: "Vehicle",
    ports: [
      "axle/main",
      "tyre/main",
      "ratings/torque-axle",
      "chassis-pads/main",
      "crossmember/main",
      "under-engine/main",
      "starter-room/main",
      "clutch-pedal/main",
      "pinion/main",
      "propshaft/main",
      "front-axle/main",
      "drive-shafts/main",
      "lever-opening/main",
      "speed-reader/main",
      "switch-wants/main",
      "take-off/main",
      "bay/main",
      "tunnel/main",
      "outline/main"
    ]
  },
  plate: { words: "Adapter plate", group: "Face, crank, depth", ports: ["plate/main", "face/front/forward", "face/rear/rearward"] },
  separator: { words: "Separator plate", group: "Face, crank, depth", ports: ["plate/main", "face/front/forward", "face/rear/rearward"] },
  spacer: { words: "Crank spacer", group: "Face, crank, depth", ports: ["spacer/main", "flywheel/front", "crank-flange/rear", "flange-bolts/main"] },
  flywheel: { words: "Flywheel", group: "Face, crank, depth", ports: ["flywheel/main", "clutch-seat/main", "flange-bolts/main", "ring/main", "trigger/main", "ratings/speed"] },
  flexplate: { words: "Flexplate", group: "Face, crank, depth", ports: ["flywheel/main", "flange-bolts/main", "ring/main", "flex-pads/main", "trigger/main", "ratings/speed"] },
  pilot: { words: "Pilot bearing or bush", group: "Face, crank, depth", ports: ["pilot-piece/main"] },
  dowel: { words: "Dowel", group: "Face, crank, depth", ports: [] },
  "bell-bolt": { words: "Bell bolt", group: "Face, crank, depth", ports: ["flange-bolts/main"] },
  "odd-bell-bolt": { words: "Odd bell bolts", group: "Face, crank, depth", ports: [] },
  "flange-bolt": { words: "Flange bolt", group: "Face, crank, depth", ports: ["flange-bolts/main"] },
  cover: { words: "Clutch cover", group: "Clutch and converter", ports: ["cover-fingers/main", "cover-mount/main", "ratings/torque"] },
  disc: { words: "Clutch disc", group: "Clutch and converter", ports: ["disc-hub/main", "disc-face/main"] },
  "release-bearing": { words: "Release bearing", group: "Clutch and converter", ports: ["release-bearing/main"] },
  converter: { words: "Torque converter", group: "Clutch and converter", ports: ["converter/main"] },
  starter: { words: "Starter", group: "Clutch and converter", ports: ["starter/main"] },
  bellhousing: { words: "Bellhousing", group: "Face, crank, depth", ports: [] },
  "clutch-hydraulics": { words: "Clutch master or slave", group: "Clutch and converter", ports: [] },
  "trigger-ring": { words: "Trigger ring", group: "Clutch and converter", ports: [] },
  "load-controller": { words: "Gearbox controller or load bracket", group: "Clutch and converter", ports: [] },
  "alignment-tool": { words: "Clutch alignment tool", group: "Clutch and converter", ports: [] },
  "fork-stud": { words: "Release fork stud", group: "Clutch and converter", ports: [] },
  "clutch-line-end": { words: "Clutch line end", group: "Clutch and converter", ports: [] },
  "cover-bolt": { words: "Clutch cover bolt", group: "Clutch and converter", ports: [] },
  "gearbox-cooler": { words: "Gearbox oil cooler", group: "Clutch and converter", ports: [] },
  "cooler-line": { words: "Cooler line", group: "Clutch and converter", ports: [] },
  "engine-mount": { words: "Engine mount", group: "Mounts and driveline", ports: [] },
  "gearbox-mount": { words: "Gearbox mount", group: "Mounts and driveline", ports: [] },
  propshaft: { words: "Propshaft", group: "Mounts and driveline", ports: ["propshaft/main"] },
  "shaft-half": { words: "Shaft half", group: "Mounts and driveline", ports: ["shaft-half/main"] },
  "drive-shaft": { words: "Drive shaft", group: "Mounts and driveline", ports: [] },
  "case-adapter": { words: "Transfer case adapter", group: "Mounts and driveline", ports: [] },
  "coupling-shaft": { words: "Coupling shaft", group: "Mounts and driveline", ports: [] },
  "axle-gears": { words: "Axle gears", group: "Mounts and driveline", ports: [] },
  "lever-linkage": { words: "Lever linkage", group: "Mounts and driveline", ports: [] },
  "speed-converter": { words: "Speedometer sender or converter", group: "Mounts and driveline", ports: [] },
  "take-off": { words: "Power take-off unit", group: "Mounts and driveline", ports: ["take-off/main"] },
  speedometer: { words: "Speedometer drive", group: "Mounts and driveline", ports: [] },
  sump: { words: "Sump and pickup", group: "Engine bay", ports: ["sump/main"] },
  exhaust: { words: "Exhaust", group: "Engine bay", ports: [] },
  "lower-hose": { words: "Lower radiator hose", group: "Engine bay", ports: [] },
  "top-hose": { words: "Top radiator hose", group: "Engine bay", ports: [] },
  "heater-reducer": { words: "Heater hose reducers", group: "Engine bay", ports: [] },
  "throttle-bracket": { words: "Throttle bracket", group: "Engine bay", ports: [] },
  "alternator-plug": { words: "Alternator plug", group: "Engine bay", ports: [] },
  "earth-strap": { words: "Earth straps", group: "Engine bay", ports: [] },
  "water-pump": { words: "Water pump", group: "Engine bay", ports: [] },
  fan: { words: "Fan", group: "Engine bay", ports: [] },
  "alternator-pulley": { words: "Alternator pulley", group: "Engine bay", ports: [] },
  belt: { words: "Drive belt", group: "Engine bay", ports: [] },
  "throttle-actuation": { words: "Throttle actuation", group: "Engine bay", ports: [] },
  "air-conditioning": { words: "Air conditioning", group: "Must still work", ports: [] },
  "steering-assist": { words: "Steering assist", group: "Must still work", ports: [] },
  "brake-assist": { words: "Brake assist", group: "Must still work", ports: [] },
  cruise: { words: "Cruise control", group: "Must still work", ports: [] },
  gauges: { words: "Gauges", group: "Must still work", ports: [] },
  "four-wheel-drive": { words: "Four-wheel drive", group: "Must still work", ports: [] },
  "power-take-off": { words: "Power take-off", group: "Must still work", ports: [] },
  "range-indicator": { words: "Range indicator", group: "Must still work", ports: [] },
  "emissions-equipment": { words: "Emissions equipment", group: "Must still work", ports: [] },
  "compressor-mount": { words: "Compressor mount", group: "Must still work", ports: [] },
  "refrigerant-hose": { words: "Refrigerant hose", group: "Must still work", ports: [] },
  "refrigerant-service": { words: "Refrigerant service", group: "Must still work", ports: [] },
  "assist-hose": { words: "Steering assist hose", group: "Must still work", ports: [] },
  "front-propshaft": { words: "Front propshaft", group: "Must still work", ports: [] },
  "cruise-actuator": { words: "Cruise actuator", group: "Must still work", ports: [] },
  heater: { words: "Heater", group: "Must still work", ports: [] },
  "engine-oil": { words: "Engine oil", group: "Fluids", ports: [] },
  "gearbox-oil": { words: "Gearbox oil", group: "Fluids", ports: [] },
  coolant: { words: "Coolant", group: "Fluids", ports: [] },
  papers: { words: "Papers", group: "Papers", ports: [] },
  inspection: { words: "Inspection", group: "Papers", ports: [] },
  work: { words: "Work", group: "Work", ports: [] },
  unsorted: { words: "Unsorted", group: "Unsorted", ports: [] }
};
var isPartKind = (kind) => Object.hasOwn(PART_KINDS, kind);
var kindWords = (kind) => isPartKind(kind) ? PART_KINDS[kind].words : kind;
var typedPorts = (kind) => (isPartKind(kind) ? PART_KINDS[kind].ports : []).map((port2) => {
  const [name2 = "", slot = "main", looks] = port2.split("/");
  return { kind: name2, slot, looks };
});

// core/own.ts
var own = (table, key) => Object.hasOwn(table, key) ? table[key] : void 0;

// core/quantity/units.ts
var by = (factor) => ({ factor });
var MILE_KM = 1.609344;
var US_GALLON = 3.785411784;
var IMPERIAL_GALLON = 4.54609;
var perGallon = (litres) => ({ factor: 1, inverse: 100 * litres / MILE_KM });
var UNITS = {
  mm: { mm: by(1), cm: by(10), m: by(1e3), in: by(25.4), '"': by(25.4), inch: by(25.4), inches: by(25.4), ft: by(304.8), thou: by(0.0254) },
  "N\xB7m": {
    "n\xB7m": by(1),
    nm: by(1),
    "n.m": by(1),
    "lbf\xB7ft": by(1.3558179483314),
    "lbf.ft": by(1.3558179483314),
    "lb-ft": by(1.3558179483314),
    "lb\xB7ft": by(1.3558179483314),
    "kgf\xB7m": by(9.80665),
    "kgf.m": by(9.80665),
    mkp: by(9.80665)
  },
  kg: { kg: by(1), g: by(1e-3), t: by(1e3), lb: by(0.45359237), lbs: by(0.45359237) },
  kPa: { kpa: by(1), bar: by(100), psi: by(6.894757293168361), mpa: by(1e3), "kgf/cm\xB2": by(98.0665) },
  "\xB0C": { "\xB0c": by(1), c: by(1), "\xB0f": { factor: 5 / 9, offset: -160 / 9 }, f: { factor: 5 / 9, offset: -160 / 9 } },
  L: { l: by(1), ml: by(1e-3), "us gal": by(US_GALLON), "gal us": by(US_GALLON), "imp gal": by(IMPERIAL_GALLON), "gal imp": by(IMPERIAL_GALLON) },
  "L/100km": {
    "l/100km": by(1),
    "l/100 km": by(1),
    "km/l": { factor: 1, inverse: 100 },
    "us mpg": perGallon(US_GALLON),
    "mpg us": perGallon(US_GALLON),
    "imp mpg": perGallon(IMPERIAL_GALLON),
    "mpg imp": perGallon(IMPERIAL_GALLON)
  },
  rpm: { rpm: by(1), "/min": by(1), "rev/min": by(1) },
  "\xB0": { "\xB0": by(1), deg: by(1) },
  N: { n: by(1), kn: by(1e3), kgf: by(9.80665), lbf: by(4.4482216152605) },
  h: { h: by(1), hr: by(1), min: by(1 / 60) }
};
var ASKED = { mpg: ["US mpg", "imp mpg"], gal: ["US gal", "imp gal"], gallon: ["US gal", "imp gal"], gallons: ["US gal", "imp gal"] };
var UNIT_CHOICES = {
  mm: ["mm", "in"],
  "N\xB7m": ["N\xB7m", "lbf\xB7ft", "kgf\xB7m"],
  kg: ["kg", "lb"],
  kPa: ["kPa", "bar", "psi"],
  "\xB0C": ["\xB0C", "\xB0F"],
  L: ["L", "US gal", "imp gal"],
  "L/100km": ["L/100km", "US mpg", "imp mpg"]
};
var QuantityError = class extends Error {
};
var QuantityQuestion = class extends QuantityError {
  choices;
  constructor(message, choices) {
    super(message);
    this.choices = choices;
  }
};
var NUMBER = /^([+-])?(?:(\d+)[\s-]+)?(?:(\d+)\/(\d+)|(\d[\d.,]*|[.,]\d+))/;
function parseQuantity(typed, unit2, { units = {}, decimal = "ask" } = {}) {
  const text2 = typed.trim().replace("\u2212", "-");
  const match = NUMBER.exec(text2);
  if (!match || text2 === "") throw new QuantityError(`"${typed}" is not a number. Type a figure such as ${unit2 === "mm" ? "11.8, 86 mm or 3 3/8 in" : "180"}.`);
  const [read, sign, whole, over, under, figure2] = match;
  const named = text2.slice(read.length).trim();
  if (whole && figure2) throw new QuantityError(`"${typed}" has two numbers. Type one, such as ${whole}.${figure2.replace(/\D/g, "")}.`);
  if (under && Number(under) === 0) throw new QuantityError(`"${typed}" divides by zero. Check the fraction.`);
  const plain4 = figure2 ? plainFigure(figure2, decimal, (other2) => text2.replace(figure2, other2)) : 0;
  const magnitude = (whole ? Number(whole) : 0) + (over ? Number(over) / Number(under) : 0) + plain4;
  const isInchFraction = unit2 === "mm" && under !== void 0 && Number.isInteger(Math.log2(Number(under)));
  const assumed = isInchFraction ? "in" : units[unit2] ?? "";
  const value = convertIn((sign === "-" ? -1 : 1) * magnitude, named || assumed, unit2, typed, (other2) => `${read.trim()} ${other2}`);
  return Number(value.toPrecision(15));
}
function plainFigure(figure2, decimal, rewrite) {
  const separators = figure2.replace(/\d/g, "");
  const bad = () => {
    throw new QuantityError(`"${figure2}" is not a number. Type it with one decimal point, or none.`);
  };
  if (separators === "") return Number(figure2);
  if (separators.length === 1) {
    const isPoint = separators === ".";
    const mayGroup = /^[1-9]\d{0,2}[.,]\d{3}$/.test(figure2);
    const grouped = figure2.replace(separators, "");
    const pointed = figure2.replace(",", ".");
    if (!mayGroup || isPoint && decimal !== "comma") return Number(pointed);
    if (!isPoint && decimal === "point") return Number(grouped);
    if (!isPoint && decimal === "comma") return Number(pointed);
    throw new QuantityQuestion(`"${figure2}" could be ${grouped} or ${pointed}. Type it without the ${isPoint ? "point" : "comma"}.`, [rewrite(grouped), rewrite(trailing(pointed))]);
  }
  const last3 = separators.at(-1);
  const others = separators.slice(0, -1);
  const grouping = others.includes(last3) ? last3 : others[0];
  const [units = "", rest] = others.includes(last3) ? [figure2] : [figure2.slice(0, figure2.lastIndexOf(last3)), figure2.slice(figure2.lastIndexOf(last3) + 1)];
  if ([...others].some((one) => one !== grouping) || !/^\d{1,3}([.,]\d{3})+$/.test(units)) bad();
  return Number(`${units.replace(/[.,]/g, "")}${rest === void 0 ? "" : `.${rest}`}`);
}
var trailing = (figure2) => String(Number(figure2));
function convertIn(value, named, unit2, typed, rewrite) {
  if (named === "" || named.toLowerCase() === unit2.toLowerCase()) return value;
  if (unit2 === "") {
    if (named === ":1" || named === ": 1") return value;
    throw new QuantityError(`"${typed}" should be a plain number, without "${named}".`);
  }
  const key = named.toLowerCase().replace("*", "\xB7").replace(/\s+/g, " ");
  const asked = own(ASKED, key);
  if (asked && UNITS[unit2][asked[0].toLowerCase()])
    throw new QuantityQuestion(`"${named}" could be of a US gallon (3.785 L) or an imperial one (4.546 L). Write which.`, asked.map(rewrite));
  const found = own(UNITS[unit2], key);
  if (found === void 0) throw new QuantityError(`"${named}" is not a unit for this. Use ${Object.keys(UNITS[unit2]).slice(0, 5).join(", ")}.`);
  if (found.inverse === void 0) return value * found.factor + (found.offset ?? 0);
  if (value === 0) throw new QuantityError(`"${typed}" would be no distance at all. Check the figure.`);
  return found.inverse / value;
}

// core/mechanics/thread.ts
function threadDiameter(thread2) {
  if (thread2 === null) return Number.NaN;
  let found = diameters.get(thread2);
  if (found === void 0) diameters.set(thread2, found = readDiameter(thread2));
  return found;
}
var diameters = /* @__PURE__ */ new Map();
var keys = /* @__PURE__ */ new Map();
var METRIC = /^M\s*(\d+(?:[.,]\d+)?)(?:\s*[x×*X]\s*(\d+(?:[.,]\d+)?))?$/i;
var INCH = /^(?:(\d+)\s+)?(?:(\d+)\/(\d+)|(\d+(?:\.\d+)?))\s*(?:"|in)?\s*-\s*(\d+)(?:\s*(UNC|UNF|UN))?$/i;
var PIPE = /^(?:(\d+)[\s-]+)?(?:(\d+)\/(\d+)|(\d+))\s*(?:"|in)?\s*-?\s*(NPT|NPTF|BSPT|BSPP|BSP)$/i;
function readDiameter(thread2) {
  const metric = /^\s*M(\d+(?:\.\d+)?)/i.exec(thread2);
  if (metric) return Number(metric[1]);
  const inch = /^\s*(?:(\d+)\/(\d+)|(\d+(?:\.\d+)?))\s*(?:"|in)?\s*-\s*\d+/.exec(thread2);
  if (!inch) return Number.NaN;
  return 25.4 * (inch[1] ? Number(inch[1]) / Number(inch[2]) : Number(inch[3]));
}
function threadKey(thread2) {
  let key = keys.get(thread2);
  if (key === void 0) keys.set(thread2, key = thread2.toUpperCase().replace(/[×*]/g, "X").replace(/\s+/g, "").replace(/\.0$/, ""));
  return key;
}
function parseThread(typed) {
  const text2 = typed.trim();
  if (/^through$/i.test(text2)) return "through";
  const metric = METRIC.exec(text2);
  if (metric) return `M${plain(metric[1])}${metric[2] ? `x${plain(metric[2])}` : ""}`;
  const inch = INCH.exec(text2);
  if (inch) return `${size(inch)}-${inch[5]}`;
  const pipe = PIPE.exec(text2);
  if (pipe) return `${size(pipe)} ${pipe[5].toUpperCase()}`;
  throw new QuantityError(`"${typed}" is not a thread. Write it as M10x1.25, 3/8-16, 1/8 NPT, or "through" for a plain hole.`);
}
function isThread(text2) {
  try {
    parseThread(text2);
    return true;
  } catch {
    return false;
  }
}
var plain = (figure2) => String(Number(figure2.replace(",", ".")));
var size = ([, whole, over, under, decimal]) => `${whole ? `${whole} ` : ""}${over ? `${over}/${under}` : decimal}`;

// core/mechanics/fasteners.ts
var MM = 1e-3;
var MPA = 1e6;
var PSI = 6894.757293168361;
var INCH_MM = 25.4;
var COARSE_MM = { 5: 0.8, 6: 1, 8: 1.25, 10: 1.5, 12: 1.75, 14: 2, 16: 2, 18: 2.5, 20: 2.5, 22: 2.5, 24: 3 };
function pitchOf(thread2) {
  const diameterMm = threadDiameter(thread2);
  if (Number.isNaN(diameterMm)) return null;
  const metric = /^M\s*[\d.]+(?:\s*x\s*([\d.]+))?/i.exec(thread2);
  if (metric) {
    const pitchMm = metric[1] ? Number(metric[1]) : COARSE_MM[diameterMm];
    return pitchMm === void 0 ? null : { diameterMm, pitchMm, isInch: false };
  }
  const perInch = Number(/-\s*(\d+)/.exec(thread2)?.[1]);
  return perInch > 0 ? { diameterMm, pitchMm: INCH_MM / perInch, isInch: true } : null;
}
function stressArea(thread2) {
  const pitch = pitchOf(thread2);
  if (!pitch) return Number.NaN;
  return Math.PI / 4 * (pitch.diameterMm - (pitch.isInch ? 0.9743 : 0.9382) * pitch.pitchMm) ** 2;
}
function proofStress(boltClass, diameterMm) {
  switch (boltClass) {
    case "8.8":
      return diameterMm <= 16 ? 580 : 600;
    case "10.9":
      return 830;
    case "12.9":
      return 970;
    case "grade 5":
      return 85e3 * PSI / MPA;
    case "grade 8":
      return 12e4 * PSI / MPA;
  }
}
var PRELOAD_SHARE = 0.75;
var NUT_FACTOR = { dry: 0.2, oiled: 0.15, "anti-seize": 0.12 };
function tightening(thread2, boltClass, condition = "dry") {
  const diameterMm = threadDiameter(thread2);
  const area = stressArea(thread2);
  if (Number.isNaN(area)) return null;
  const forceN = PRELOAD_SHARE * proofStress(boltClass, diameterMm) * MPA * area * MM * MM;
  const k = NUT_FACTOR[condition];
  const torqueNm = k * diameterMm * MM * forceN;
  return {
    forceN,
    torqueNm,
    k,
    words: `${thread2} ${boltClass}, ${condition}: ${torqueNm.toFixed(0)} N\xB7m by K ${k} and ${PRELOAD_SHARE * 100} % of proof, unless the maker states a torque or an angle`
  };
}
var ENGAGEMENT = { steel: 1, aluminium: 1.5 };
var LIFTING_ENGAGEMENT = { steel: 1.5, aluminium: 2 };
var engagementMm = (thread2, metal, isLifting = false) => (isLifting ? LIFTING_ENGAGEMENT : ENGAGEMENT)[metal] * threadDiameter(thread2);
var LENGTHS_MM = [10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100, 110, 120, 130, 140, 150, 160, 180, 200];
function boltLengthMm(gripMm, washersMm, engagedMm) {
  return LENGTHS_MM.find((length3) => length3 >= gripMm + washersMm + engagedMm - 1e-9) ?? null;
}
var TAP_DRILLS = {
  "M5x0.8": 4.2,
  M6x1: 5,
  "M8x1.25": 6.8,
  M8x1: 7,
  "M10x1.5": 8.5,
  "M10x1.25": 8.8,
  M10x1: 9,
  "M12x1.75": 10.2,
  "M12x1.5": 10.5,
  "M12x1.25": 10.8,
  M14x2: 12,
  "M14x1.5": 12.5,
  M16x2: 14,
  "M16x1.5": 14.5,
  "M20x2.5": 17.5,
  "3/8-16": INCH_MM * 5 / 16
};
function tapDrillMm(thread2) {
  const pitch = pitchOf(thread2);
  if (!pitch) return null;
  return TAP_DRILLS[pitch.isInch ? thread2 : `M${pitch.diameterMm}x${pitch.pitchMm}`] ?? null;
}
var edgeDistanceMm = (holeMm) => ({ least: 1.2 * holeMm, wanted: 2 * holeMm });
var leastWallMm = (oneMm, otherMm) => 0.8 * Math.max(oneMm, otherMm);

// core/mechanics/fits.ts
var BANDS = [
  { over: 10, to: 18, H7: [0, 18], p6: [18, 29] },
  { over: 18, to: 30, H7: [0, 21], p6: [22, 35] },
  { over: 30, to: 50, H7: [0, 25], p6: [26, 42] }
];
function deviation(of, nominalMm) {
  const band = BANDS.find(({ over, to }) => nominalMm > over && nominalMm <= to);
  if (!band) return null;
  const [low, high] = band[of];
  return { lowMm: low / 1e3, highMm: high / 1e3 };
}
function fitOf(hole, shaft6) {
  const leastMm = hole.lowMm - shaft6.highMm;
  const greatestMm = hole.highMm - shaft6.lowMm;
  return { leastMm, greatestMm, kind: leastMm >= 0 ? "clearance" : greatestMm <= 0 ? "interference" : "transition" };
}
function nominalFit(hole, shaft6, nominalMm) {
  const [bore, piece3] = [deviation(hole, nominalMm), deviation(shaft6, nominalMm)];
  return bore && piece3 ? fitOf(bore, piece3) : null;
}

// core/fasteners/bolt-set.ts
var CROSS = "In a cross pattern, in three steps";
function boltSet({ words: words3, thread: thread2, count: count3, grip = Number.NaN, length: length3 = Number.NaN, into, usual, claimed = {} }) {
  if (thread2 === null || Number.isNaN(threadDiameter(thread2))) return [];
  const boltClass = claimed.boltClass?.v ?? usual;
  const engaged = engagementMm(thread2, into);
  const stated = claimed.torqueNm?.v ?? Number.NaN;
  const angle = claimed.angleDeg?.v ?? Number.NaN;
  const reckoned = tightening(thread2, boltClass);
  const tightness = Number.isFinite(stated) ? `${CROSS}: ${stated} N\xB7m${Number.isFinite(angle) ? `, then ${angle}\xB0` : ""} by the maker${Number.isFinite(angle) ? "; a bolt tightened by angle is renewed" : ""}` : Number.isFinite(angle) ? `${CROSS}: ${angle}\xB0 by the maker after his seating torque, which nobody has typed; a bolt tightened by angle is renewed` : reckoned ? `${CROSS}: ${reckoned.words}` : "Its torque is the maker\u2019s";
  const d = threadDiameter(thread2);
  return [
    {
      words: words3,
      count: Number.isFinite(count3) && count3 > 0 ? count3 : null,
      thread: thread2,
      pitchMm: pitchOf(thread2)?.pitchMm ?? null,
      boltClass,
      gripMm: Number.isFinite(grip) ? grip : null,
      lengthMm: Number.isFinite(length3) ? length3 : Number.isFinite(grip) ? boltLengthMm(grip, 0, engaged) : null,
      engagedMm: engaged,
      tightness,
      drillMm: tapDrillMm(thread2),
      edgeMm: edgeDistanceMm(d).wanted,
      wallMm: leastWallMm(d, d)
    }
  ];
}
function locatedFit(words3, bore, piece3, isPressed = false) {
  if (bore.claim === null || piece3.claim === null) return [];
  const pm = Number.isFinite(bore.pm + piece3.pm) ? bore.pm + piece3.pm : 0;
  const nominal = isPressed ? nominalFit("H7", "p6", Math.round(bore.v)) : null;
  return [
    {
      words: words3,
      leastMm: bore.v - piece3.v - pm,
      greatestMm: bore.v - piece3.v + pm,
      nominal: nominal ? `H7/p6 at ${Math.round(bore.v)}: ${(-nominal.greatestMm).toFixed(3)} to ${(-nominal.leastMm).toFixed(3)} mm of interference` : null
    }
  ];
}

// core/joints/code.ts
var CODES = ["fits", "work", "bridge", "unmeasured", "clash"];
var FITS = 0;
var WORK = 1;
var BRIDGE = 2;
var UNMEASURED = 3;
var CLASH = 4;

// core/joints/judging/declaration.ts
var formula = (reads, of) => ({ reads, of });
var measure = (reads, of, sense) => ({ reads, of, sense });
var computed = (reads, of, sense) => ({
  source: { at: "computed", measure: { reads, of, sense } }
});
var bounded = (reads, of, bound) => ({ reads, of, bound });
var plus = (of) => ({ sign: 1, of });
var minus = (of) => ({ sign: -1, of });
var less = (terms) => terms.map(({ sign, of }) => ({ sign: sign === 1 ? -1 : 1, of }));
var guardsOf = ({ when }) => when === void 0 ? [] : Array.isArray(when) ? when : [when];
function readsOf(limit) {
  let reads = known.get(limit);
  if (!reads) known.set(limit, reads = gather(limit));
  return reads;
}
var known = /* @__PURE__ */ new WeakMap();
function gather(limit) {
  const ends = (limit.window ?? []).flatMap((end2) => typeof end2 === "object" ? Object.values(end2.reads) : []);
  const needed = [
    ...limit.names ?? [],
    ...(limit.terms ?? []).map(({ of }) => of),
    ...Object.values(limit.measure?.reads ?? {}),
    ...ends,
    ...Object.values(limit.holds?.reads ?? {})
  ];
  const steps2 = [limit.below, limit.above, limit.otherwise].flatMap((step) => stepsOf(step));
  const sometimes = [
    ...guardsOf(limit).flatMap(({ reads }) => Object.values(reads)),
    ...steps2.flatMap((step) => [...step.ask ? [step.ask] : [], ...Object.values(step.when?.reads ?? {})])
  ];
  return { needed: needed.filter((read) => !read.isAside), sometimes: [...sometimes, ...needed.filter((read) => read.isAside)] };
}
var UNSTATED = { code: BRIDGE, words: "Outside its window" };
var stepsOf = (step) => step === void 0 ? [] : Array.isArray(step) ? step : [{ becomes: step }];
var ladder = (limit, under) => {
  const own3 = stepsOf(under ? limit.below : limit.above);
  const steps2 = own3.length > 0 ? own3 : stepsOf(under ? limit.above : limit.below);
  return steps2.length > 0 ? steps2 : [{ becomes: UNSTATED }];
};

// core/ports/field.ts
import { z } from "zod";

// core/quantity/grade.ts
var GRADES2 = ["assumed", "heard", "catalogue", "maker", "measured", "fitted"];
var strength = (grade2) => GRADES2.indexOf(grade2);

// core/quantity/claim.ts
var byHand = (grade2) => grade2 === "measured" || grade2 === "fitted";
function tier(claim2, specimen) {
  if (byHand(claim2.grade)) return specimen !== void 0 && claim2.specimen === specimen ? 0 : 1;
  return claim2.grade === "maker" ? 1 : 2;
}
function chooseClaim(claims, specimen, defaultPm, differ) {
  if (claims.length === 0) return null;
  const ranked = claims.map((claim2) => ({ claim: claim2, pm: claim2.plusMinus ?? defaultPm(claim2) })).sort(
    (a2, b2) => tier(a2.claim, specimen) - tier(b2.claim, specimen) || compare(a2.pm, b2.pm) || strength(b2.claim.grade) - strength(a2.claim.grade) || compare(b2.claim.on ?? "", a2.claim.on ?? "") || compare(a2.claim.id, b2.claim.id)
  );
  const best = ranked[0];
  const conflict = ranked.some((other2) => Number.isFinite(best.pm + other2.pm) && differ(best.claim.value, other2.claim.value) > best.pm + other2.pm + 1e-9);
  return { ...best, conflict };
}
var compare = (a2, b2) => a2 < b2 ? -1 : a2 > b2 ? 1 : 0;

// core/quantity/methods.ts
var METHODS = {
  "bar-caliper": { words: "Straight bar and caliper", plusMinus: 0.15 },
  caliper: { words: "Caliper on the diameter", plusMinus: 0.03 },
  micrometer: { words: "Micrometer or bore gauge", plusMinus: 5e-3 },
  rubbing: { words: "Rubbing or scan of the face", plusMinus: 0.4 },
  punch: { words: "Transfer punch", plusMinus: 0.2 },
  machine: { words: "Coordinate machine", plusMinus: 0.01 },
  rule: { words: "Steel rule", plusMinus: 0.5 },
  "tape-bay": { words: "Tape in the bay", plusMinus: 5 },
  "tape-shaft": { words: "Tape along the shaft", plusMinus: 2 },
  level: { words: "Digital level", plusMinus: 0.2 },
  phone: { words: "Phone as level", plusMinus: 0.7 },
  scale: { words: "Weighbridge", plusMinus: 20 }
};
var methodPlusMinus = (method2) => method2 && Object.hasOwn(METHODS, method2) ? METHODS[method2].plusMinus : void 0;

// core/quantity/plain-text.ts
var NO_CONTROLS = /^\P{Cc}*$/u;
var CONTROLS_SAID = "Leave out line breaks, tabs and other control characters.";

// core/ports/field.ts
var fromDrawing = (pm) => (grade2) => grade2 === "maker" || grade2 === "catalogue" ? pm : Infinity;
var apart = (a2, b2) => Math.abs(a2 - b2);
var same = (a2, b2) => JSON.stringify(a2) === JSON.stringify(b2) ? 0 : Infinity;
var spoken = (grade2) => strength(grade2) <= strength("heard") ? Infinity : 0;
var length = (label, { methods = ["bar-caliper", "caliper", "rule"], minutes = 10 } = {}) => ({
  label,
  unit: "mm",
  type: "number",
  schema: z.number().finite(),
  unknown: Number.NaN,
  methods,
  minutes,
  defaultPm: fromDrawing(0.1),
  differ: apart
});
var span = (label, { methods = ["tape-bay", "tape-shaft"], minutes = 5 } = {}) => ({
  ...length(label, { methods, minutes }),
  defaultPm: () => Infinity
});
var exact = (label, unit2, { methods = [], minutes = 10 } = {}) => ({
  label,
  unit: unit2,
  type: "number",
  schema: z.number().finite(),
  unknown: Number.NaN,
  methods,
  minutes,
  defaultPm: () => 0,
  differ: apart
});
var word = (label, choices, { minutes = 2 } = {}) => ({
  label,
  unit: "",
  type: "word",
  schema: choices ? z.enum(choices) : z.string().min(1).max(200).regex(NO_CONTROLS, CONTROLS_SAID),
  unknown: null,
  methods: [],
  minutes,
  ...choices ? { choices } : {},
  defaultPm: spoken,
  differ: same
});
var thread = (label) => ({ ...word(label), type: "thread", schema: threadSchema });
var flag = (label, { minutes = 2 } = {}) => ({
  label,
  unit: "",
  type: "flag",
  schema: z.boolean(),
  unknown: null,
  methods: [],
  minutes,
  defaultPm: spoken,
  differ: same
});
var numbers2 = (label, unit2, { methods = [], minutes = 15 } = {}) => ({
  label,
  unit: unit2,
  type: "numbers",
  schema: z.array(z.number().finite()).min(1).max(400),
  unknown: null,
  methods,
  minutes,
  defaultPm: spoken,
  differ: same
});
var PROCESSES = ["milled", "reamed", "drilled", "cast", "laser", "plasma"];
var FACE_SPAN_MM = 2e3;
var HOLE_MOST_MM = 500;
var within = z.number().min(-FACE_SPAN_MM, `At most ${FACE_SPAN_MM} mm from the axis.`).max(FACE_SPAN_MM, `At most ${FACE_SPAN_MM} mm from the axis.`);
var place = {
  x: within,
  y: within,
  d: z.number().positive("\xD8 must be more than 0.").max(HOLE_MOST_MM, `\xD8 at most ${HOLE_MOST_MM} mm.`),
  process: z.enum(PROCESSES).optional()
};
var threadSchema = z.string().max(40).refine(isThread, 'Write a thread as M10x1.25, 3/8-16, 1/8 NPT, or "through" for a plain hole.');
var holeSchema = z.object({ ...place, thread: threadSchema.optional(), optional: z.boolean().optional() });
var dowelSchema = z.object({ ...place, pin: z.boolean().optional() });
var isMachined = (list) => list.every((d) => d.process === "milled" || d.process === "reamed");
var holes = (label) => ({
  label,
  unit: "mm",
  type: "holes",
  schema: z.array(holeSchema).min(1).max(60),
  unknown: null,
  methods: ["rubbing", "punch", "machine"],
  minutes: 45,
  defaultPm: fromDrawing(0.1),
  differ: () => 0
});
var dowels = (label) => ({
  label,
  unit: "mm",
  type: "dowels",
  schema: z.array(dowelSchema).max(8),
  unknown: null,
  methods: ["rubbing", "punch", "machine"],
  minutes: 20,
  defaultPm: (grade2, value) => grade2 === "maker" || grade2 === "catalogue" && isMachined(value ?? []) ? 0.05 : Infinity,
  differ: () => 0
});
var points = (label) => ({
  label,
  unit: "mm",
  type: "points",
  schema: z.array(z.object({ x: within, y: within })).min(3).max(400),
  unknown: null,
  methods: ["rubbing"],
  minutes: 30,
  defaultPm: fromDrawing(0.5),
  differ: () => 0
});
var zones = (label, { methods = ["tape-bay", "bar-caliper", "rule"], minutes = 20 } = {}) => ({
  label,
  unit: "mm",
  type: "zones",
  schema: z.array(
    z.object({
      fromMm: z.number().finite(),
      toMm: z.number().finite(),
      depthMm: z.number().finite(),
      moving: z.boolean().optional(),
      name: z.string().max(60).regex(NO_CONTROLS, CONTROLS_SAID).optional()
    })
  ).max(20),
  unknown: null,
  methods,
  minutes,
  defaultPm: () => Infinity,
  differ: () => 0
});
function compileField(claims, at2, specimen) {
  const { words: words3 } = at2;
  const chosen = chooseClaim(
    claims ?? [],
    specimen,
    (claim2) => methodPlusMinus(claim2.method) ?? words3.defaultPm(claim2.grade, claim2.value),
    (a2, b2) => words3.differ(a2, b2)
  );
  if (!chosen) return Object.freeze({ v: words3.unknown, pm: Infinity, grade: -1, claim: null, conflict: false, at: at2 });
  return Object.freeze({ v: chosen.claim.value, pm: chosen.pm, grade: strength(chosen.claim.grade), claim: chosen.claim.id, conflict: chosen.conflict, at: at2 });
}

// core/ports/port.ts
import { z as z2 } from "zod";
function definePort(declared) {
  const { kind, title, end: end2, fields } = declared;
  const looks = declared.looks ?? null;
  const names = Object.keys(fields);
  const compile = (port2, part, specimen, present = true) => {
    const compiled2 = { id: port2.id, part: part.id, kind, slot: port2.slot, looks: port2.looks ?? looks, present };
    for (const name2 of names) {
      const words3 = fields[name2];
      compiled2[name2] = compileField(port2.claims[name2], { port: port2.id, part: part.id, partName: part.name, field: name2, words: words3 }, specimen);
    }
    return Object.freeze(compiled2);
  };
  const shape = Object.fromEntries(names.map((name2) => [name2, fields[name2].schema.optional()]));
  return {
    kind,
    title,
    end: end2,
    looks,
    fields,
    schema: z2.strictObject(shape),
    compile,
    missing: compile({ id: `?/${kind}/main`, kind, slot: "main", claims: {} }, { id: "?", name: title }, void 0, false)
  };
}

// core/ports/axle.ts
var axle = definePort({
  kind: "axle",
  title: "Driven axle",
  end: "gearbox",
  fields: { ratio: exact("Axle ratio", ""), ladenKg: exact("Laden axle load or plate rating", "kg", { methods: ["scale"] }) }
});

// core/ports/bay.ts
var tape2 = { methods: ["tape-bay", "rule"] };
var bay = definePort({
  kind: "bay",
  title: "Engine bay",
  end: "gearbox",
  fields: {
    lengthMm: span("Radiator to firewall", tape2),
    widthMm: span("Between towers or rails", tape2),
    heightMm: span("Crank axis to bonnet", tape2),
    boosterMm: span("Crank axis to brake booster", tape2),
    columnMm: span("Crank axis to steering shaft", tape2)
  }
});

// core/ports/case-shaft.ts
var caseShaft = definePort({
  kind: "case-shaft",
  title: "Shaft to the transfer case",
  end: "gearbox",
  fields: {
    splines: exact("Splines", "", { minutes: 3 }),
    majorMm: length("Outer \xD8 of the splines", { methods: ["caliper"], minutes: 5 }),
    faceMm: span("Rear face from the bell face", { methods: ["tape-shaft", "rule"] }),
    endMm: span("Shaft end from the bell face", { methods: ["tape-shaft", "rule"] })
  }
});

// core/ports/chassis-pads.ts
var chassisPads = definePort({
  kind: "chassis-pads",
  title: "Engine mounts of the chassis",
  end: "gearbox",
  fields: {
    crankAboveMm: span("Crank axis above the mounts", { methods: ["tape-shaft", "rule"] }),
    spreadMm: span("Between the mounts, across", { methods: ["tape-shaft", "rule"] }),
    angleDeg: exact("Mounts lean from level", "\xB0", { methods: ["level", "phone"], minutes: 5 }),
    thread: thread("Stud or bolt thread"),
    captive: flag("One mount captive, so that a torn rubber cannot let go")
  }
});

// core/ports/clutch-pedal.ts
var clutchPedal = definePort({
  kind: "clutch-pedal",
  title: "Clutch pedal and master",
  end: "gearbox",
  fields: {
    travelMm: span("Pedal travel", { methods: ["rule"] }),
    ratio: exact("Pedal ratio", "", { methods: ["rule"] }),
    masterMm: length("Master bore", { methods: ["caliper"], minutes: 5 }),
    strokeMm: length("Stroke the master has", { methods: ["caliper", "rule"] })
  }
});

// core/ports/clutch-seat.ts
var clutchSeat = definePort({
  kind: "clutch-seat",
  title: "Clutch seat of the flywheel",
  end: "gearbox",
  fields: {
    circleMm: length("Cover bolt circle", { methods: ["caliper"], minutes: 5 }),
    bolts: exact("Cover bolts", "", { minutes: 2 }),
    thread: thread("Cover bolt thread"),
    dowelMm: length("Cover dowel \xD8, 0 for none", { methods: ["caliper"], minutes: 5 }),
    stepMm: length("Cover seat from the clutch face"),
    outerMm: length("Outer \xD8 of the clutch face", { methods: ["caliper"], minutes: 5 }),
    innerMm: length("Inner \xD8 of the clutch face", { methods: ["caliper"], minutes: 5 })
  }
});

// core/ports/converter.ts
var converter = definePort({
  kind: "converter",
  title: "Converter",
  end: "gearbox",
  fields: {
    padAngles: numbers2("Pad angles", "\xB0"),
    padCircleMm: length("Pad circle", { methods: ["caliper", "rule"] }),
    padThread: thread("Pad thread"),
    padDepthMm: length("Thread depth in the pads"),
    noseMm: length("Nose \xD8", { methods: ["micrometer", "caliper"] }),
    noseTipMm: length("Nose tip from the pads"),
    hubMm: length("Pump hub \xD8", { methods: ["micrometer", "caliper"] }),
    turbineSplines: exact("Turbine splines", "", { minutes: 5 }),
    statorSplines: exact("Stator splines", "", { minutes: 5 }),
    stallRpm: exact("Stall speed", "rpm")
  }
});

// core/ports/converter-bore.ts
var converterBore = definePort({
  kind: "converter-bore",
  title: "Converter bore in the crank",
  end: "engine",
  fields: { boreMm: length("Bore \xD8", { methods: ["micrometer", "caliper"] }), depthMm: length("Depth from the flange face") }
});

// core/ports/cover-fingers.ts
var coverFingers = definePort({
  kind: "cover-fingers",
  title: "Cover fingers",
  end: "gearbox",
  fields: {
    heightMm: length("Fingers over clutch face"),
    travelLowMm: length("Finger travel that frees the disc"),
    travelHighMm: length("Finger travel it stands at most")
  }
});

// core/ports/cover-mount.ts
var coverMount = definePort({
  kind: "cover-mount",
  title: "Clutch cover flange",
  end: "gearbox",
  fields: {
    circleMm: length("Cover bolt circle", { methods: ["caliper"], minutes: 5 }),
    bolts: exact("Cover holes", "", { minutes: 2 }),
    holeMm: length("Cover hole \xD8", { methods: ["caliper"], minutes: 5 }),
    dowelMm: length("Cover dowel hole \xD8, 0 for none", { methods: ["caliper"], minutes: 5 }),
    stepMm: length("Seat it is made for, from the clutch face"),
    clampN: exact("Clamp load", "N")
  }
});

// core/ports/crank-flange.ts
var crankFlange = definePort({
  kind: "crank-flange",
  title: "Crank flange",
  end: "engine",
  looks: "rearward",
  fields: {
    proudMm: length("Flange from block face, + proud"),
    angles: numbers2("Bolt angles", "\xB0"),
    circleMm: length("Bolt circle"),
    thread: thread('Bolt thread, or "through"'),
    holeDepthMm: length("Thread depth"),
    registerMm: length("Register \xD8", { methods: ["micrometer", "caliper"] }),
    balance: word("Balance", ["zero", "counterweighted"])
  }
});

// core/ports/crank-sensor.ts
var crankSensor = definePort({
  kind: "crank-sensor",
  title: "Crank sensor",
  end: "engine",
  fields: {
    readsAt: word("It reads", ["none", "crank nose", "block", "wheel", "wheel, from the bell"]),
    teeth: exact("Teeth it counts a turn", "", { minutes: 5 })
  }
});

// core/ports/crossmember.ts
var crossmember = definePort({
  kind: "crossmember",
  title: "Gearbox crossmember",
  end: "gearbox",
  fields: {
    alongMm: span("Middle of its mount, behind the engine mounts", { methods: ["tape-shaft", "tape-bay"] }),
    belowMm: span("Its seat, below the plane of the engine mounts", { methods: ["tape-shaft", "tape-bay"] }),
    spacingMm: span("Between the bolts", { methods: ["rule", "tape-shaft"] }),
    slotMm: span("It can be slid either way by", { methods: ["rule", "tape-shaft"] }),
    thread: thread("Bolt thread"),
    mayMove: flag("It unbolts and may be moved along")
  }
});

// core/ports/disc-face.ts
var discFace = definePort({
  kind: "disc-face",
  title: "Clutch disc lining",
  end: "gearbox",
  fields: {
    outerMm: length("Outer \xD8 of the lining", { methods: ["caliper"], minutes: 5 }),
    innerMm: length("Inner \xD8 of the lining", { methods: ["caliper"], minutes: 5 }),
    friction: exact("Friction of the lining, \xB5", "")
  }
});

// core/ports/input-shaft.ts
var SPLINE_FORMS = ["straight", "involute", "serrated"];
var inputShaft = definePort({
  kind: "input-shaft",
  title: "Input shaft",
  end: "gearbox",
  looks: "forward",
  fields: {
    noseMm: length("Nose \xD8", { methods: ["micrometer", "caliper"] }),
    tipMm: length("Tip from bell face"),
    noseEndMm: length("Shoulder behind the nose"),
    splines: exact("Splines", "", { minutes: 3 }),
    majorMm: length("Outer \xD8 of the splines", { methods: ["caliper"], minutes: 3 }),
    form: word("Form of spline", SPLINE_FORMS),
    splineStartMm: length("Spline start"),
    splineEndMm: length("Spline end")
  }
});

// core/ports/disc-hub.ts
var discHub = definePort({
  kind: "disc-hub",
  title: "Clutch disc hub",
  end: "gearbox",
  fields: {
    startMm: length("Hub front from clutch face"),
    endMm: length("Hub rear from clutch face"),
    splines: exact("Splines", "", { minutes: 3 }),
    majorMm: length("Outer \xD8 of the splines", { methods: ["caliper"], minutes: 3 }),
    form: word("Form of spline", SPLINE_FORMS),
    marked: word("Marked for the way round", ["gearbox side", "flywheel side", "neither"]),
    carrierMm: length("Spring carrier ahead of the clutch face")
  }
});

// core/ports/drive-shafts.ts
var driveShafts = definePort({
  kind: "drive-shafts",
  title: "Drive shafts and hubs",
  end: "gearbox",
  fields: {
    family: word("Inner joint family"),
    splines: exact("Outer splines", "", { minutes: 3 }),
    hubSplines: exact("Hub splines", "", { minutes: 3 }),
    leftMm: span("Left shaft between joint centres", { methods: ["tape-shaft"] }),
    rightMm: span("Right shaft between joint centres", { methods: ["tape-shaft"] }),
    hubLeftMm: span("Left outer joint from the middle", { methods: ["tape-shaft"] }),
    hubRightMm: span("Right outer joint from the middle", { methods: ["tape-shaft"] }),
    dropMm: span("Outer joints below or above the inner", { methods: ["tape-shaft", "rule"] }),
    plungeMm: span("Plunge either way", { methods: ["rule"] }),
    mostDeg: exact("Angle the joints allow", "\xB0")
  }
});

// core/ports/engine-output.ts
var engineOutput = definePort({
  kind: "engine-output",
  title: "Engine output",
  end: "engine",
  fields: {
    peakTorqueNm: exact("Peak torque", "N\xB7m"),
    peakTorqueRpm: exact("Torque peak at", "rpm"),
    redlineRpm: exact("Redline", "rpm"),
    oilL: exact("Oil it wants", "L"),
    turns: word("Crank turns, seen from the gearbox", ["counter-clockwise", "clockwise"])
  }
});

// core/ports/engine-pads.ts
var enginePads = definePort({
  kind: "engine-pads",
  title: "Engine mount pads",
  end: "engine",
  fields: {
    alongMm: span("Middle of the pads from the block face", { methods: ["tape-shaft", "rule"] }),
    belowMm: span("Pads below the crank axis", { methods: ["tape-shaft", "rule"] }),
    spreadMm: span("Between the pads, across", { methods: ["tape-shaft", "rule"] }),
    angleDeg: exact("Pads lean from level", "\xB0", { methods: ["level", "phone"], minutes: 5 }),
    thread: thread("Stud or bolt thread")
  }
});

// core/ports/face.ts
var face = definePort({
  kind: "face",
  title: "Bolted face",
  end: "engine",
  fields: {
    family: word("Pattern family"),
    holes: holes("Bolt holes"),
    dowels: dowels("Dowels"),
    mayTurn: flag("Case may be turned"),
    outline: points("Outline")
  }
});

// core/ports/flange-bolts.ts
var flangeBolts = definePort({
  kind: "flange-bolts",
  title: "Bolts",
  end: "gearbox",
  fields: {
    thread: thread("Thread"),
    lengthMm: length("Length under head", { methods: ["caliper"] }),
    clampedMm: length("Thickness of wheel clamped", { methods: ["caliper"] }),
    headMm: length("Head or washer \xD8", { methods: ["caliper"] }),
    boltClass: word("Class", ["8.8", "10.9", "12.9", "grade 5", "grade 8"]),
    torqueNm: exact("Torque the maker states", "N\xB7m"),
    angleDeg: exact("Angle the maker states after it", "\xB0"),
    headTallMm: length("Head height", { methods: ["caliper"], minutes: 3 })
  }
});

// core/ports/flex-pads.ts
var flexPads = definePort({
  kind: "flex-pads",
  title: "Converter pads of the flexplate",
  end: "gearbox",
  fields: {
    heightMm: length("Pads behind the flange face, h"),
    angles: numbers2("Hole angles", "\xB0"),
    circleMm: length("Hole circle", { methods: ["caliper", "rule"] }),
    holeMm: length("Hole \xD8", { methods: ["caliper"] }),
    thickMm: length("Thickness at the pads", { methods: ["caliper"] }),
    boltThread: thread("Bolt thread"),
    boltMm: length("Bolt length under head", { methods: ["caliper"] })
  }
});

// core/ports/flywheel.ts
var flywheel = definePort({
  kind: "flywheel",
  title: "Flywheel face",
  end: "gearbox",
  looks: "forward",
  fields: {
    angles: numbers2("Hole angles", "\xB0"),
    circleMm: length("Bolt circle"),
    holeMm: length("Hole \xD8", { methods: ["caliper"] }),
    registerMm: length("Register bore \xD8", { methods: ["micrometer", "caliper"] }),
    outerMm: length("Outer \xD8", { methods: ["caliper", "rule"] }),
    balance: word("Balance", ["zero", "counterweighted"]),
    clutchFaceMm: length("Clutch face behind the flange")
  }
});

// core/ports/front-axle.ts
var frontAxle = definePort({
  kind: "front-axle",
  title: "Front axle",
  end: "gearbox",
  fields: {
    side: word("Axle input, seen from behind", ["left", "right"]),
    turns: word("Its input turns", ["as the rear", "against the rear"]),
    ratio: exact("Front axle ratio", ""),
    shift: word("The vehicle shifts four-wheel drive by", ["lever", "cable", "motor", "vacuum"])
  }
});

// core/ports/front-drive.ts
var SENSES = ["with the crank", "against the crank"];
var BELT_SIDES = ["ribs", "back"];
var frontDrive = definePort({
  kind: "front-drive",
  title: "Pump, fan and alternator",
  end: "engine",
  fields: {
    pumpWants: word("Water pump made to turn", SENSES),
    pumpBelt: word("Water pump driven by", BELT_SIDES),
    fanWants: word("Fan made to turn", [...SENSES, "electric"]),
    fanBelt: word("Fan driven by", [...BELT_SIDES, "motor"]),
    alternatorWants: word("Alternator made to turn", [...SENSES, "either"]),
    alternatorBelt: word("Alternator driven by", BELT_SIDES)
  }
});

// core/ports/lever.ts
var lever = definePort({
  kind: "lever",
  title: "Gear lever",
  end: "gearbox",
  fields: {
    alongMm: span("Lever or selector from the bell face", { methods: ["tape-shaft", "rule"] }),
    work: word("Moved by", ["lever on the case", "rods", "cables"]),
    gate: word("Gate", ["as the vehicle", "mirrored"])
  }
});

// core/ports/lever-opening.ts
var leverOpening = definePort({
  kind: "lever-opening",
  title: "Lever opening",
  end: "gearbox",
  fields: {
    fromMm: span("Front edge behind the engine mounts", { methods: ["tape-shaft"] }),
    toMm: span("Rear edge behind the engine mounts", { methods: ["tape-shaft"] }),
    work: word("Shifted by", ["lever on the case", "rods", "cables"]),
    mayCut: flag("The opening may be cut longer")
  }
});

// core/ports/load-signal.ts
var loadSignal = definePort({
  kind: "load-signal",
  title: "Load signal it wants",
  end: "gearbox",
  fields: {
    wants: word("Load is told by", ["none", "cable", "vacuum", "controller"]),
    pullMm: length("Cable pull, idle to full", { methods: ["rule", "caliper"] })
  }
});

// core/ports/load-source.ts
var loadSource = definePort({
  kind: "load-source",
  title: "Load signal it gives",
  end: "engine",
  fields: {
    cable: flag("Throttle can pull a cable"),
    pullMm: length("Cable pull, idle to full", { methods: ["rule", "caliper"] }),
    vacuum: flag("Manifold vacuum at a pipe"),
    bus: flag("Throttle angle as a signal")
  }
});

// core/ports/mount-pad.ts
var mountPad = definePort({
  kind: "mount-pad",
  title: "Gearbox mount pad",
  end: "gearbox",
  fields: {
    alongMm: span("Middle of the pad from the bell face", { methods: ["tape-shaft", "rule"] }),
    belowMm: span("Pad below the shaft axis", { methods: ["tape-shaft", "rule"] }),
    spacingMm: span("Between the bolts", { methods: ["rule", "tape-shaft"] }),
    thread: thread("Bolt thread")
  }
});

// core/ports/original-stack.ts
var originalStack = definePort({
  kind: "original-stack",
  title: "Original engine stack",
  end: "gearbox",
  fields: {
    flangeMm: length("Original flange proud, f\u2080"),
    platesMm: length("Original plates, B\u2080"),
    spacersMm: length("Original spacers")
  }
});

// core/ports/outline.ts
var outline = definePort({
  kind: "outline",
  title: "Outline",
  end: "engine",
  fields: {
    layout: word("Layout", ["lengthwise", "crosswise", "mid"]),
    lengthMm: span("Length along the train"),
    heightMm: span("Height"),
    widthMm: span("Width"),
    bellMm: span("Bell length"),
    blockFaceMm: span("Block face behind radiator"),
    frontAxleMm: span("Front axle behind radiator"),
    firewallMm: span("Firewall behind radiator"),
    rearAxleMm: span("Rear axle behind radiator")
  }
});

// core/ports/output.ts
var output = definePort({
  kind: "output",
  title: "Output",
  end: "gearbox",
  fields: {
    type: word("Output is a", ["slip", "flange"]),
    splines: exact("Splines, 0 on a flange", "", { minutes: 3 }),
    majorMm: length("Outer \xD8 of the splines, 0 on a flange", { methods: ["caliper"], minutes: 5 }),
    circleMm: length("Bolt circle, 0 on a slip yoke", { methods: ["caliper"], minutes: 5 }),
    thread: thread("Flange bolt thread"),
    alongMm: span("Joint centre from the front face", { methods: ["tape-shaft", "rule"] }),
    belowMm: span("Output below the shaft axis", { methods: ["rule", "tape-shaft"] }),
    rightMm: span("Output right of the shaft axis, seen from behind", { methods: ["rule", "tape-shaft"] })
  }
});

// core/ports/pilot-bore.ts
var pilotBore = definePort({
  kind: "pilot-bore",
  title: "Pilot bore",
  end: "engine",
  looks: "rearward",
  fields: {
    finished: flag("Bore finished"),
    boreMm: length("Bore \xD8", { methods: ["micrometer", "caliper"], minutes: 6 }),
    mouthMm: length("Mouth of the bore"),
    bottomMm: length("Bottom of the bore", { minutes: 6 })
  }
});

// core/ports/pilot-piece.ts
var pilotPiece = definePort({
  kind: "pilot-piece",
  title: "Pilot piece",
  end: "gearbox",
  looks: "forward",
  fields: {
    type: word("Kind of pilot", ["bearing", "bush", "sleeve", "none"]),
    outerMm: length("Outer \xD8", { methods: ["micrometer", "caliper"] }),
    boreMm: length("Bore \xD8", { methods: ["micrometer", "caliper"] }),
    widthMm: length("Width", { methods: ["caliper"] }),
    depthMm: length("Set below the mouth, \u2212 proud")
  }
});

// core/ports/pinion.ts
var pinion = definePort({
  kind: "pinion",
  title: "Axle input",
  end: "gearbox",
  fields: {
    alongMm: span("Joint centre behind the engine mounts", { methods: ["tape-shaft"] }),
    belowMm: span("Joint centre below the plane of the mounts", { methods: ["tape-shaft", "rule"] }),
    rightMm: span("Joint centre right of the middle", { methods: ["tape-shaft", "rule"] }),
    noseUpDeg: exact("Nose of the axle up from level", "\xB0", { methods: ["level", "phone"], minutes: 5 }),
    flange: word("Flange it has, such as flange 94"),
    travelMm: span("It moves along, bump to droop", { methods: ["rule", "tape-shaft"], minutes: 15 })
  }
});

// core/ports/plate.ts
var plate = definePort({
  kind: "plate",
  title: "Plate",
  end: "engine",
  fields: { thicknessMm: length("Thickness", { methods: ["micrometer", "caliper"] }) }
});

// core/ports/propshaft.ts
var propshaft = definePort({
  kind: "propshaft",
  title: "Propshaft",
  end: "gearbox",
  fields: {
    type: word("Front end is a", ["slip", "flange"]),
    splines: exact("Splines, 0 on a flange", "", { minutes: 3 }),
    majorMm: length("Bore of the splines, 0 on a flange", { methods: ["caliper"], minutes: 5 }),
    circleMm: length("Front bolt circle, 0 on a slip yoke", { methods: ["caliper"], minutes: 5 }),
    lengthMm: span("Between joint centres, slip at its middle", { methods: ["tape-shaft"] }),
    slipMm: span("Slip it has in all", { methods: ["rule"] }),
    tubeMm: length("Tube \xD8", { methods: ["caliper"], minutes: 5 }),
    wallMm: length("Tube wall", { methods: ["caliper"], minutes: 5 }),
    yokeDeg: exact("Angle its joints allow", "\xB0")
  }
});

// core/ports/pump.ts
var pump = definePort({
  kind: "pump",
  title: "Pump, stator and turbine shaft",
  end: "gearbox",
  looks: "forward",
  fields: {
    padMm: length("Bell face to the converter pads, seated, X"),
    padSpreadMm: length("Greatest difference among the pads", { minutes: 5 }),
    lugsMm: length("Lugs engaged, seated", { minutes: 10 }),
    bushMm: length("Pump bush \xD8", { methods: ["micrometer", "caliper"] }),
    turbineSplines: exact("Turbine shaft splines", "", { minutes: 5 }),
    statorSplines: exact("Stator support splines", "", { minutes: 5 })
  }
});

// core/ports/ratings.ts
var ratings = definePort({
  kind: "ratings",
  title: "Rating",
  end: "gearbox",
  fields: {
    torqueNm: exact("Torque rating", "N\xB7m"),
    reference: word("Rated at", ["engine", "input shaft", "turbine", "output", "transfer output", "axle"]),
    basis: word("Basis", ["nominal", "peak"]),
    speedRpm: exact("Speed rating", "rpm")
  }
});

// core/ports/ratios.ts
var ratios = definePort({
  kind: "ratios",
  title: "Ratios",
  end: "gearbox",
  fields: {
    type: word("Type", ["manual", "automatic"]),
    gears: numbers2("Gear ratios", ""),
    finalDrive: exact("Final drive in the case", ""),
    stall: exact("Converter stall torque ratio", ""),
    turns: word("Made for a crank that turns, seen from the gearbox", ["counter-clockwise", "clockwise", "either"]),
    mayTurnOver: flag("It may be turned over, final drive and all")
  }
});

// core/ports/release-bearing.ts
var releaseBearing = definePort({
  kind: "release-bearing",
  title: "Release bearing",
  end: "gearbox",
  fields: {
    restMm: length("Bearing face at rest, from bell face"),
    gapLowMm: exact("Least rest gap", "mm"),
    gapHighMm: exact("Greatest rest gap", "mm")
  }
});

// core/ports/release-gear.ts
var releaseGear = definePort({
  kind: "release-gear",
  title: "Release fork and slave",
  end: "gearbox",
  fields: {
    type: word("Released by", ["fork", "concentric slave"]),
    slaveMm: length("Slave bore, outer", { methods: ["caliper"], minutes: 5 }),
    innerMm: length("Slave bore, inner, 0 on a fork", { methods: ["caliper"], minutes: 5 }),
    strokeMm: length("Stroke the slave has", { methods: ["caliper", "rule"] }),
    forkRatio: exact("Fork ratio, 1 without a fork", "", { methods: ["rule"] })
  }
});

// core/ports/ring.ts
var ring = definePort({
  kind: "ring",
  title: "Ring gear",
  end: "gearbox",
  fields: {
    nearMm: length("Face nearest the pinion, from flange"),
    widthMm: length("Tooth width", { methods: ["caliper"] }),
    teeth: exact("Ring teeth", "", { minutes: 10 }),
    outerMm: length("Outer \xD8 of the ring", { methods: ["caliper", "rule"] })
  }
});

// core/ports/sensor-seat.ts
var sensorSeat = definePort({
  kind: "sensor-seat",
  title: "Sensor seat in the bell",
  end: "gearbox",
  fields: {
    drilled: flag("A crank sensor has its seat in the bell")
  }
});

// core/ports/shaft-half.ts
var shaftHalf = definePort({
  kind: "shaft-half",
  title: "Shaft half",
  end: "gearbox",
  fields: {
    end: word("Which end", ["inner", "outer"]),
    fits: word("What the end fits: flange or joint family, or splines"),
    bar: word("Joins its other half by"),
    lengthMm: span("Joint centre to the end of the bar", { methods: ["tape-shaft"] }),
    overlapLowMm: length("Least it goes into the other half", { methods: ["rule"] }),
    overlapHighMm: length("Most it goes into the other half", { methods: ["rule"] })
  }
});

// core/ports/side-outputs.ts
var sideOutputs = definePort({
  kind: "side-outputs",
  title: "Transaxle outputs",
  end: "gearbox",
  fields: {
    family: word("Inner joint family"),
    leftMm: span("Left joint centre from the crank axis", { methods: ["rule", "tape-shaft"] }),
    rightMm: span("Right joint centre from the crank axis", { methods: ["rule", "tape-shaft"] })
  }
});

// core/ports/spacer.ts
var spacer = definePort({
  kind: "spacer",
  title: "Crank spacer",
  end: "engine",
  fields: { thicknessMm: length("Thickness", { methods: ["micrometer", "caliper"] }) }
});

// core/ports/speed-drive.ts
var speedDrive = definePort({
  kind: "speed-drive",
  title: "Speedometer drive",
  end: "gearbox",
  fields: {
    type: word("Speed is told by", ["cable", "pulses", "none"]),
    perTurn: exact("Cable turns or pulses for a turn of the output", "")
  }
});

// core/ports/speed-reader.ts
var speedReader = definePort({
  kind: "speed-reader",
  title: "Speedometer",
  end: "gearbox",
  fields: {
    type: word("Speedometer wants", ["cable", "pulses"]),
    perKm: exact("Cable turns or pulses for a kilometre", "")
  }
});

// core/ports/starter.ts
var starter = definePort({
  kind: "starter",
  title: "Starter",
  end: "gearbox",
  fields: {
    mount: word("Carried by", ["block", "bell"]),
    pinionMm: length("Pinion at rest, from its mounting face"),
    throwMm: length("Throw of the pinion", { methods: ["caliper", "rule"] }),
    way: word("Pinion moves", ["rearward", "forward"]),
    turns: word("Turns, looking at the pinion", ["clockwise", "counter-clockwise"]),
    teeth: exact("Pinion teeth", "", { minutes: 3 }),
    moduleMm: exact("Module of the pinion", "mm", { methods: ["caliper"] })
  }
});

// core/ports/starter-room.ts
var starterRoom = definePort({
  kind: "starter-room",
  title: "Room for a starter",
  end: "gearbox",
  fields: {
    side: word("Free side, seen from the gearbox", ["both", "left", "right", "neither"])
  }
});

// core/ports/starter-seat.ts
var starterSeat = definePort({
  kind: "starter-seat",
  title: "Starter seat",
  end: "gearbox",
  looks: "forward",
  fields: {
    side: word("Side, seen from the gearbox", ["left", "right"]),
    axisMm: length("Starter axis from the crank axis", { methods: ["bar-caliper", "machine"] })
  }
});

// core/ports/sump.ts
var sump = definePort({
  kind: "sump",
  title: "Sump",
  end: "engine",
  fields: {
    zones: zones("Depth by zone: from, to, below the crank axis"),
    dropMm: length("It must come down by, to clear the pickup", { minutes: 5 }),
    capacityL: exact("Oil it holds", "L"),
    coverMm: length("Oil over the pickup, at the lowest mark", { minutes: 10 }),
    pickupMm: length("Pickup from the middle of the deep part", { minutes: 10 }),
    baffled: flag("Baffled")
  }
});

// core/ports/switch-wants.ts
var switchWants = definePort({
  kind: "switch-wants",
  title: "Switches the vehicle wants",
  end: "gearbox",
  fields: {
    reverse: flag("Wants a reverse lamp switch"),
    interlock: word("Start is allowed by", ["neutral or park switch", "clutch switch", "nothing"])
  }
});

// core/ports/switches.ts
var switches = definePort({
  kind: "switches",
  title: "Gearbox switches",
  end: "gearbox",
  fields: {
    reverse: flag("Has a reverse lamp switch"),
    interlock: word("Start is allowed by", ["neutral or park switch", "nothing"])
  }
});

// core/ports/take-off.ts
var takeOff = definePort({
  kind: "take-off",
  title: "Power take-off",
  end: "gearbox",
  fields: {
    family: word("Made for opening family"),
    side: word("Side it must be on, seen from behind", ["left", "right", "below", "rear"]),
    moduleMm: exact("Module of its gear", "mm", { methods: ["caliper"] }),
    turns: word("Made for a gear that turns", ["with the engine", "against the engine"]),
    reachMm: span("It reaches out by", { methods: ["rule"] }),
    roomMm: span("Room there", { methods: ["tape-bay", "rule"] })
  }
});

// core/ports/take-off-opening.ts
var takeOffOpening = definePort({
  kind: "take-off-opening",
  title: "Power take-off opening",
  end: "gearbox",
  fields: {
    family: word("Opening family"),
    side: word("Side, seen from behind", ["left", "right", "below", "rear"]),
    moduleMm: exact("Module of its gear", "mm", { methods: ["caliper"] }),
    turns: word("Its gear turns", ["with the engine", "against the engine"])
  }
});

// core/ports/transfer.ts
var transfer = definePort({
  kind: "transfer",
  title: "Transfer case",
  end: "gearbox",
  fields: {
    frontSide: word("Front output, seen from behind", ["left", "right"]),
    frontTurns: word("Front output turns", ["as the rear", "against the rear"]),
    frontRatio: exact("Front over rear output speed, locked", ""),
    low: exact("Low ratio", ""),
    shift: word("Shifted by", ["lever", "cable", "motor", "vacuum"])
  }
});

// core/ports/transfer-input.ts
var transferInput = definePort({
  kind: "transfer-input",
  title: "Transfer case input",
  end: "gearbox",
  looks: "forward",
  fields: {
    splines: exact("Splines", "", { minutes: 3 }),
    majorMm: length("Bore of the splines", { methods: ["caliper"], minutes: 5 }),
    depthMm: length("Splines reach behind its face"),
    mostMm: length("Room for a shaft behind its face")
  }
});

// core/ports/trigger.ts
var trigger = definePort({
  kind: "trigger",
  title: "Trigger teeth",
  end: "gearbox",
  fields: {
    teeth: exact("Trigger teeth a turn, 0 for none", "", { minutes: 5 })
  }
});

// core/ports/tunnel.ts
var rule2 = { methods: ["rule", "tape-shaft"] };
var tunnel = definePort({
  kind: "tunnel",
  title: "Tunnel, or the height of the gearbox, by station",
  end: "gearbox",
  fields: {
    bellMm: span("At the bell", rule2),
    leverMm: span("At the lever", rule2),
    tailMm: span("At the tail", rule2),
    caseMm: span("At the transfer case", rule2),
    widthMm: span("Width at shaft height, at the bell", rule2)
  }
});

// core/ports/tyre.ts
var tyre = definePort({
  kind: "tyre",
  title: "Tyre",
  end: "gearbox",
  fields: { marking: word("Tyre marking, such as 205/65R15") }
});

// core/ports/under-engine.ts
var underEngine = definePort({
  kind: "under-engine",
  title: "Under the engine: steering, crossmember, axle",
  end: "gearbox",
  fields: { zones: zones('From, to, top below the engine mounts, "moving", name') }
});

// core/ports/index.ts
var PORT_KINDS = {
  "engine-output": engineOutput,
  face,
  plate,
  "crank-flange": crankFlange,
  spacer,
  flywheel,
  "flange-bolts": flangeBolts,
  ring,
  starter,
  "pilot-bore": pilotBore,
  "pilot-piece": pilotPiece,
  "input-shaft": inputShaft,
  "disc-hub": discHub,
  "cover-fingers": coverFingers,
  "release-bearing": releaseBearing,
  "converter-bore": converterBore,
  "flex-pads": flexPads,
  converter,
  pump,
  ratios,
  ratings,
  "original-stack": originalStack,
  axle,
  tyre,
  "engine-pads": enginePads,
  "chassis-pads": chassisPads,
  "mount-pad": mountPad,
  crossmember,
  sump,
  "under-engine": underEngine,
  "clutch-seat": clutchSeat,
  "cover-mount": coverMount,
  "disc-face": discFace,
  "clutch-pedal": clutchPedal,
  "release-gear": releaseGear,
  "starter-seat": starterSeat,
  "starter-room": starterRoom,
  "crank-sensor": crankSensor,
  trigger,
  "sensor-seat": sensorSeat,
  "front-drive": frontDrive,
  "case-shaft": caseShaft,
  output,
  propshaft,
  pinion,
  "transfer-input": transferInput,
  transfer,
  "front-axle": frontAxle,
  "load-signal": loadSignal,
  "load-source": loadSource,
  "take-off-opening": takeOffOpening,
  "take-off": takeOff,
  lever,
  "lever-opening": leverOpening,
  "speed-drive": speedDrive,
  "speed-reader": speedReader,
  switches,
  "switch-wants": switchWants,
  "side-outputs": sideOutputs,
  "drive-shafts": driveShafts,
  "shaft-half": shaftHalf,
  bay,
  tunnel,
  outline
};
var isPortKind = (kind) => Object.hasOwn(PORT_KINDS, kind);
var isExpected = (part, kind, slot) => kind === "ratings" ? part.kind === "transmission" && slot === "torque" : !(kind === "face" && part.kind === "separator");
function untyped(part) {
  return typedPorts(part.kind).filter(({ kind, slot, looks }) => isExpected(part, kind, slot) && !part.ports.some((port2) => port2.kind === kind && (looks === void 0 || (port2.looks ?? looks) === looks))).map(
    ({ kind, slot, looks }) => PORT_KINDS[kind].compile({ id: `${part.id}/${kind}/${slot}`, kind, slot, looks, claims: {} }, part, void 0, false)
  );
}
function compilePart(part, specimen) {
  const ports = part.ports.map((port2) => {
    if (!isPortKind(port2.kind)) throw new Error(`"${port2.kind}" is not a port kind. Known: ${Object.keys(PORT_KINDS).join(", ")}.`);
    return PORT_KINDS[port2.kind].compile(port2, part, specimen);
  });
  return Object.freeze({ id: part.id, kind: part.kind, name: part.name, ports: Object.freeze([...ports, ...untyped(part)]) });
}
function portOf(part, kind, looks) {
  const found = part?.ports.find((port2) => port2.kind === kind && (looks === void 0 || port2.looks === looks));
  return found ?? PORT_KINDS[kind].missing;
}

// core/joints/side.ts
var slotOf = (kind) => kind.replace(/-./g, (dash) => dash.charAt(1).toUpperCase());
var SLOTS = Object.fromEntries(Object.keys(PORT_KINDS).filter((kind) => kind !== "ratings").map((kind) => [kind, slotOf(kind)]));
var EMPTY = {
  ...Object.fromEntries(Object.entries(SLOTS).map(([kind, slot]) => [slot, PORT_KINDS[kind].missing])),
  ratings: []
};
var emptySide = () => ({ ...EMPTY });

// core/joints/judging/read.ts
var HEADS = ["named", "slot", "present"];
function readsOfSide(side2) {
  return Object.fromEntries(
    Object.entries(SLOTS).map(([kind, slot]) => [
      slot,
      Object.fromEntries([
        ...Object.keys(PORT_KINDS[kind].fields).map((field) => [field, { source: { at: "side", side: side2, slot, kind, field } }]),
        ...HEADS.map((head) => [head, { source: { at: "head", side: side2, slot, head } }])
      ])
    ])
  );
}
var a = readsOfSide("a");
var b = readsOfSide("b");
var rating = Object.fromEntries(
  [...Object.keys(PORT_KINDS.ratings.fields), "slot"].map((field) => [field, { source: { at: "each", kind: "ratings", field } }])
);
var plates = { source: { at: "stack", kind: "plate", field: "thicknessMm" } };
var spacers = { source: { at: "stack", kind: "spacer", field: "thicknessMm" } };
var total = (terms) => ({ source: { at: "sum", terms } });
var known2 = (of) => ({ source: { at: "known", of }, isAside: true });
var either = (one, other2) => ({ source: { at: "either", one, other: other2 } });
var orElse = (read, value) => ({ ...read, else: value });
var aside = (read) => ({ ...read, isAside: true });
var item = (of) => ({ source: { at: "item", of } });
var gated = (read, gate, absent) => ({ ...read, only: [...read.only ?? [], gate], ...absent === void 0 ? {} : { absent } });
var where = (head, is, read, absent) => {
  const { source } = head;
  if (source.at !== "head") throw new TypeError("A gate looks at whether a port is named, present, or at its slot.");
  return gated(read, { side: source.side, slot: source.slot, head: source.head, is }, absent);
};
var whereSaid = (word2, among, read, absent) => gated(read, { word: aside(word2), in: among }, absent);
var kept = (read) => gated(read, { shop: (shop) => shop.placement !== "set-back" });
var setBack = (read) => gated(read, { shop: (shop) => shop.placement === "set-back" });

// core/joints/always.ts
var always = formula({}, () => true);
var whereNamed = (port2) => formula({ isNamed: port2.named }, ({ isNamed }) => isNamed);
var type = aside(b.ratios.type);
var onManual = formula({ type }, ({ type: type5 }) => type5 !== "automatic");
var onAutomatic = formula({ type }, ({ type: type5 }) => type5 === "automatic");

// core/joints/judging/judge.ts
var SLACK = 1e-6;
function judge(m, isDamage) {
  if (isDamage) {
    if (m.value - m.down >= m.lowMost - SLACK && m.value + m.up <= m.highLeast + SLACK) return "agrees";
    if (m.value + m.up < m.lowLeast - SLACK) return "under";
    if (m.value - m.down > m.highMost + SLACK) return "over";
    return "straddles";
  }
  if (m.value < m.low - SLACK) return "under";
  return m.value > m.high + SLACK ? "over" : "agrees";
}
var isOutside = ({ value, low, high }) => value < low - SLACK || value > high + SLACK;

// core/joints/search/overhang.ts
function overhang(a2, b2) {
  return Math.max(reach(a2, b2), reach(b2, a2));
}
var reach = (from, past) => from.reduce((most3, p) => Math.max(most3, isInside(p, past) ? 0 : distance(p, past)), 0);
function isInside(p, ring3) {
  let inside = false;
  for (let i = 0, j = ring3.length - 1; i < ring3.length; j = i++) {
    const u = ring3[i], v = ring3[j];
    if (u.y > p.y !== v.y > p.y && p.x < (v.x - u.x) * (p.y - u.y) / (v.y - u.y) + u.x) inside = !inside;
  }
  return inside;
}
function distance(p, ring3) {
  let least3 = Infinity;
  for (let i = 0, j = ring3.length - 1; i < ring3.length; j = i++) {
    const u = ring3[j], v = ring3[i];
    const dx = v.x - u.x, dy = v.y - u.y;
    const along = Math.max(0, Math.min(1, ((p.x - u.x) * dx + (p.y - u.y) * dy) / (dx * dx + dy * dy || 1)));
    least3 = Math.min(least3, Math.hypot(p.x - u.x - along * dx, p.y - u.y - along * dy));
  }
  return least3;
}

// core/content-number.ts
var numbers3 = /* @__PURE__ */ new WeakMap();
var byContent = /* @__PURE__ */ new Map();
function contentNumber(value) {
  let number = numbers3.get(value);
  if (number !== void 0) return number;
  const content = JSON.stringify(value);
  number = byContent.get(content);
  if (number === void 0) byContent.set(content, number = byContent.size);
  numbers3.set(value, number);
  return number;
}

// core/joints/search/placement.ts
var place2 = (p, b2) => {
  const c = Math.cos(p.turn);
  const s = Math.sin(p.turn);
  return { x: c * b2.x - s * b2.y + p.x, y: s * b2.x + c * b2.y + p.y };
};
var residual = (p, pair) => {
  const moved2 = place2(p, pair.b);
  return Math.hypot(pair.a.x - moved2.x, pair.a.y - moved2.y);
};
function leastSquares(pairs) {
  if (pairs.length === 0) throw new RangeError("leastSquares requires at least one pair");
  const n = pairs.length;
  let ax = 0, ay = 0, bx = 0, by2 = 0;
  for (const { a: a2, b: b2 } of pairs) {
    ax += a2.x / n;
    ay += a2.y / n;
    bx += b2.x / n;
    by2 += b2.y / n;
  }
  let cross2 = 0, dot = 0;
  for (const { a: a2, b: b2 } of pairs) {
    const ux = b2.x - bx, uy = b2.y - by2, vx = a2.x - ax, vy = a2.y - ay;
    dot += ux * vx + uy * vy;
    cross2 += ux * vy - uy * vx;
  }
  const turn2 = n > 1 ? Math.atan2(cross2, dot) : 0;
  const c = Math.cos(turn2), s = Math.sin(turn2);
  return { turn: turn2, x: ax - (c * bx - s * by2), y: ay - (s * bx + c * by2) };
}
function minimax(pairs, held2, start) {
  let best = start;
  let bestLevel = level(pairs, start);
  if (pairs.length === 0 || bestLevel <= -Math.min(...pairs.map((pair) => pair.play)) + 1e-12) return { placement: best, level: bestLevel };
  let centre = start;
  for (let round3 = 0; round3 < 4; round3++) {
    const next = oneRound(pairs, held2, centre);
    const reached = level(pairs, next);
    if (reached < bestLevel - 1e-12) {
      best = next;
      bestLevel = reached;
    }
    if (Math.abs(next.turn - centre.turn) < 1e-9) break;
    centre = next;
  }
  return { placement: best, level: bestLevel };
}
var level = (pairs, p) => pairs.reduce((worst, pair) => Math.max(worst, residual(p, pair) - pair.play), -Infinity);
function oneRound(pairs, held2, centre) {
  const c = Math.cos(centre.turn), s = Math.sin(centre.turn);
  const reach3 = Math.max(1, ...pairs.map(({ b: b2 }) => Math.hypot(b2.x, b2.y)));
  const cone = (pair, limit, isLevel) => {
    const qx = c * pair.b.x - s * pair.b.y, qy = s * pair.b.x + c * pair.b.y;
    return { rx: qx + centre.x - pair.a.x, ry: qy + centre.y - pair.a.y, jx: -qy / reach3, jy: qx / reach3, limit, isLevel };
  };
  const cones = pairs.map((pair) => cone(pair, pair.play, true));
  for (const dowel of held2.dowels) cones.push(cone(dowel, Math.max(dowel.play, residual(centre, dowel)) + 1e-7, false));
  if (held2.axis) {
    const dx = centre.x - held2.axis.x, dy = centre.y - held2.axis.y;
    cones.push({ rx: dx, ry: dy, jx: 0, jy: 0, limit: Math.max(held2.axis.within, Math.hypot(dx, dy)) + 1e-7, isLevel: false });
  }
  const v = [0, 0, 0, Math.max(...pairs.map((pair) => residual(centre, pair) - pair.play)) + 0.1];
  for (let t2 = 10; t2 < 1e8; t2 *= 6) for (let step = 0; step < 30 && newton(cones, v, t2); step++) ;
  const turned2 = v[0] / reach3;
  return { turn: centre.turn + turned2, x: centre.x + v[1], y: centre.y + v[2] };
}
function newton(cones, v, t2) {
  const g = [0, 0, 0, t2];
  const h = [0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (const k of cones) {
    const x = k.rx + k.jx * v[0] + v[1], y = k.ry + k.jy * v[0] + v[2];
    const z10 = k.limit + (k.isLevel ? v[3] : 0);
    const gap = z10 * z10 - x * x - y * y;
    const d = [2 * (k.jx * x + k.jy * y), 2 * x, 2 * y, k.isLevel ? -2 * z10 : 0];
    for (let i = 0; i < 4; i++) {
      g[i] += d[i] / gap;
      for (let j = 0; j < 4; j++) h[4 * i + j] += d[i] * d[j] / (gap * gap);
    }
    h[0] += 2 * (k.jx * k.jx + k.jy * k.jy) / gap;
    h[1] += 2 * k.jx / gap;
    h[4] += 2 * k.jx / gap;
    h[2] += 2 * k.jy / gap;
    h[8] += 2 * k.jy / gap;
    h[5] += 2 / gap;
    h[10] += 2 / gap;
    if (k.isLevel) h[15] -= 2 / gap;
  }
  const step = solve4(
    h,
    g.map((value) => -value)
  );
  const decrement = -step.reduce((sum, value, i) => sum + value * g[i], 0);
  if (!(decrement > 1e-12)) return false;
  const before = barrier(cones, v, t2);
  let scale = 1;
  for (let tries = 0; tries < 50; tries++, scale /= 2) {
    const next = [v[0] + scale * step[0], v[1] + scale * step[1], v[2] + scale * step[2], v[3] + scale * step[3]];
    if (barrier(cones, next, t2) <= before - 0.1 * scale * decrement) {
      for (let i = 0; i < 4; i++) v[i] = next[i];
      return true;
    }
  }
  return false;
}
function barrier(cones, v, t2) {
  let sum = t2 * v[3];
  for (const k of cones) {
    const x = k.rx + k.jx * v[0] + v[1], y = k.ry + k.jy * v[0] + v[2];
    const z10 = k.limit + (k.isLevel ? v[3] : 0);
    const gap = z10 * z10 - x * x - y * y;
    if (z10 <= 0 || gap <= 0) return Infinity;
    sum -= Math.log(gap);
  }
  return sum;
}
function solve4(matrix, right) {
  const m = [0, 1, 2, 3].map((i) => [...matrix.slice(4 * i, 4 * i + 4), right[i]]);
  for (let i = 0; i < 4; i++) {
    let pivot = i;
    for (let r = i + 1; r < 4; r++) if (Math.abs(m[r][i]) > Math.abs(m[pivot][i])) pivot = r;
    [m[i], m[pivot]] = [m[pivot], m[i]];
    if (Math.abs(m[i][i]) < 1e-14) continue;
    for (let r = 0; r < 4; r++) {
      if (r === i) continue;
      const by2 = m[r][i] / m[i][i];
      for (let col = i; col < 5; col++) m[r][col] -= by2 * m[i][col];
    }
  }
  return [0, 1, 2, 3].map((i) => Math.abs(m[i][i]) < 1e-14 ? 0 : m[i][4] / m[i][i]);
}
var STANDARD_BOLTS = [6, 8, 10, 11.1125, 12, 14, 16];
function boltPlay(a2, b2) {
  if (a2.thread && b2.thread) return -Infinity;
  if (a2.thread) return b2.d > a2.d ? (b2.d - a2.d) / 2 : -Infinity;
  if (b2.thread) return a2.d > b2.d ? (a2.d - b2.d) / 2 : -Infinity;
  const bolt2 = STANDARD_BOLTS.findLast((d) => d < Math.min(a2.d, b2.d));
  return bolt2 === void 0 ? -Infinity : (a2.d - bolt2 + b2.d - bolt2) / 2;
}
var dowelPlay = (a2, b2) => b2.pin && !a2.pin ? (a2.d - b2.d) / 2 : (b2.d - a2.d) / 2;

// core/joints/search/correspondence.ts
var CAPTURE = 3;
var CHORD = 1;
function matchPatterns(a2, b2, dowelsA, dowelsB, axisMm) {
  const byDowels = dowelsA.length >= 2 && dowelsB.length >= 2;
  const starts = byDowels ? dowelPlacements(dowelsA, dowelsB) : boltPlacements(a2, b2);
  let best = null;
  for (const start of starts) {
    if (!byDowels && best !== null && cannotBeat(a2, b2, start, best)) continue;
    const match = evaluate(a2, b2, dowelsA, dowelsB, start, byDowels, axisMm);
    if (best === null || isBetter(match, best)) best = match;
  }
  return best ?? evaluate(a2, b2, dowelsA, dowelsB, { turn: 0, x: 0, y: 0 }, byDowels, axisMm);
}
function cannotBeat(a2, b2, start, best) {
  const most3 = nearest(a2, b2, start, CAPTURE).length;
  return most3 < best.met.length || most3 === best.met.length && Math.abs(degrees(start.turn)) > Math.abs(best.turnDeg) + 1e-6;
}
function isBetter(one, other2) {
  if (one.dowelsMeet !== other2.dowelsMeet) return one.dowelsMeet;
  if (one.met.length !== other2.met.length) return one.met.length > other2.met.length;
  const turn2 = Math.abs(one.turnDeg) - Math.abs(other2.turnDeg);
  return Math.abs(turn2) > 1e-6 ? turn2 < 0 : one.worstMm < other2.worstMm - 1e-9;
}
function dowelPlacements(a2, b2) {
  const found = [];
  for (let i = 0; i < b2.length; i++)
    for (let j = 0; j < b2.length; j++)
      if (i !== j)
        found.push(
          leastSquares([
            { a: a2[0], b: b2[i], play: 0 },
            { a: a2[1], b: b2[j], play: 0 }
          ])
        );
  return found;
}
function boltPlacements(a2, b2) {
  const rough = /* @__PURE__ */ new Map();
  const consider = (placement) => {
    const key = (Math.round(placement.turn * 500) * KEY_STEP + Math.round(placement.x)) * KEY_STEP + Math.round(placement.y);
    if (!rough.has(key)) rough.set(key, { placement, count: within2(a2, b2, placement) });
  };
  consider({ turn: 0, x: 0, y: 0 });
  const chordsB = b2.map((one) => b2.map((other2) => Math.hypot(one.x - other2.x, one.y - other2.y)));
  for (let i = 0; i < a2.length; i++)
    for (let j = i + 1; j < a2.length; j++) {
      const chordA = Math.hypot(a2[i].x - a2[j].x, a2[i].y - a2[j].y);
      for (let k = 0; k < b2.length; k++)
        for (let l = 0; l < b2.length; l++) {
          if (k === l || Math.abs(chordA - chordsB[k][l]) > CHORD) continue;
          consider(
            leastSquares([
              { a: a2[i], b: b2[k], play: 0 },
              { a: a2[j], b: b2[l], play: 0 }
            ])
          );
        }
    }
  const sorted = [...rough.values()].sort((p, q) => q.count - p.count || Math.abs(p.placement.turn) - Math.abs(q.placement.turn));
  return sorted.slice(0, 24).map(({ placement }) => {
    const pairs = nearest(a2, b2, placement, CAPTURE).map(([i, j]) => ({ a: a2[i], b: b2[j], play: 0 }));
    return pairs.length > 1 ? leastSquares(pairs) : placement;
  });
}
var KEY_STEP = 100003;
function within2(a2, b2, { turn: turn2, x, y }) {
  const [c, s] = [Math.cos(turn2), Math.sin(turn2)];
  let count3 = 0;
  for (let j = 0; j < b2.length; j++) {
    const bx = c * b2[j].x - s * b2[j].y + x;
    const by2 = s * b2[j].x + c * b2[j].y + y;
    for (let i = 0; i < a2.length; i++) {
      const [dx, dy] = [a2[i].x - bx, a2[i].y - by2];
      if (dx * dx + dy * dy <= CAPTURE * CAPTURE) {
        count3++;
        break;
      }
    }
  }
  return count3;
}
function nearest(a2, b2, placement, reach3) {
  const moved2 = b2.map((hole) => place2(placement, hole));
  const near = [];
  for (let i = 0; i < a2.length; i++)
    for (let j = 0; j < b2.length; j++) {
      const d = Math.hypot(a2[i].x - moved2[j].x, a2[i].y - moved2[j].y);
      if (d <= reach3) near.push({ i, j, d });
    }
  near.sort((p, q) => p.d - q.d);
  const usedA = /* @__PURE__ */ new Set(), usedB = /* @__PURE__ */ new Set();
  const pairs = [];
  for (const { i, j } of near) {
    if (usedA.has(i) || usedB.has(j)) continue;
    usedA.add(i);
    usedB.add(j);
    pairs.push([i, j]);
  }
  return pairs;
}
function evaluate(a2, b2, dowelsA, dowelsB, start, byDowels, axisMm) {
  const dowels3 = byDowels ? pairDowels(dowelsA, dowelsB, start) : [];
  const dowelPlayMm = dowels3.length > 0 ? Math.max(...dowels3.map((pair) => pair.play)) : 0;
  const tightest = dowels3.length > 0 ? Math.min(...dowels3.map((pair) => pair.play)) : 0;
  const step1 = byDowels ? leastSquares(dowels3) : start;
  const dowelsMeet = byDowels && dowels3.length === Math.max(dowelsA.length, dowelsB.length) && dowels3.every((pair) => pair.play >= -SLACK && residual(step1, pair) <= pair.play + SLACK);
  let chosen = nearest(a2, b2, step1, CAPTURE).filter(([i, j]) => boltPlay(a2[i], b2[j]) > -Infinity);
  let placement = step1;
  const held2 = byDowels ? { dowels: dowels3 } : { dowels: [], axis: { x: step1.x, y: step1.y, within: axisMm } };
  const pairOf = ([i, j]) => ({ a: a2[i], b: b2[j], play: boltPlay(a2[i], b2[j]) });
  for (; ; ) {
    const pairs = chosen.map(pairOf);
    placement = byDowels && !dowelsMeet || pairs.length === 0 ? step1 : minimax(pairs, held2, step1).placement;
    const excess = pairs.map((pair) => residual(placement, pair) - pair.play);
    const worst = Math.max(-Infinity, ...excess);
    if (worst <= SLACK) break;
    chosen = chosen.filter((_, index) => excess[index] !== worst);
  }
  const met = chosen.map(([i, j]) => ({ a: i, b: j, residual: residual(placement, pairOf([i, j])), play: boltPlay(a2[i], b2[j]) }));
  const metA = new Set(met.map((m) => m.a)), metB = new Set(met.map((m) => m.b));
  const missing = (holes3, set) => holes3.map((_, i) => i).filter((i) => !set.has(i) && !holes3[i].optional);
  const counted2 = (holes3, set) => holes3.filter((hole, i) => !hole.optional || set.has(i)).length;
  return {
    placement,
    offsetMm: Math.hypot(step1.x, step1.y),
    turnDeg: degrees(step1.turn),
    met,
    missingA: missing(a2, metA),
    missingB: missing(b2, metB),
    share: met.length / Math.max(1, counted2(a2, metA), counted2(b2, metB)),
    quadrants: new Set(met.map((m) => quadrant(a2[m.a]))).size,
    byDowels,
    dowelsMeet,
    dowelPlayMm: tightest < -SLACK ? tightest : dowelPlayMm,
    worstMm: met.length > 0 ? Math.max(...met.map((m) => m.residual - m.play)) : Infinity
  };
}
function pairDowels(a2, b2, start) {
  const free = [...a2];
  return b2.slice(0, a2.length).map((dowel) => {
    const moved2 = place2(start, dowel);
    free.sort((p, q) => Math.hypot(p.x - moved2.x, p.y - moved2.y) - Math.hypot(q.x - moved2.x, q.y - moved2.y));
    const partner = free.shift();
    return { a: partner, b: dowel, play: dowelPlay(partner, dowel) };
  });
}
var quadrant = (hole) => (hole.x >= 0 ? 0 : 1) + (hole.y >= 0 ? 0 : 2);
var degrees = (radians) => {
  const turned2 = radians * 180 / Math.PI;
  return turned2 > 180 ? turned2 - 360 : turned2 <= -180 ? turned2 + 360 : turned2;
};

// core/joints/search/pattern-match.ts
var NONE = [];
var matches = /* @__PURE__ */ new Map();
var last = null;
function matchHoles(holesA, dowelsA, holesB, dowelsB, axisMm) {
  if (holesA === null || holesB === null) return null;
  if (last && last.holesA === holesA && last.holesB === holesB && last.dowelsA === dowelsA && last.dowelsB === dowelsB && last.axisMm === axisMm) return last.match;
  const key = `${contentNumber(holesA)} ${contentNumber(dowelsA ?? NONE)} ${contentNumber(holesB)} ${contentNumber(dowelsB ?? NONE)}`;
  let held2 = matches.get(key);
  if (held2 === void 0 || held2.axisMm !== axisMm) {
    held2 = { axisMm, match: matchPatterns(holesA, holesB, dowelsA ?? NONE, dowelsB ?? NONE, axisMm) };
    matches.set(key, held2);
  }
  last = { holesA, dowelsA, holesB, dowelsB, axisMm, match: held2.match };
  return held2.match;
}

// core/joints/block-face.ts
var PLATE = ["plate"];
var REAM = { id: "fit-dowels", words: "Fit, bush or ream dowels; indicate the bore at mating", hours: 2, skills: ["machine"], reversible: false };
var INDICATE = {
  id: "indicate-bore",
  words: "Indicate the bell bore at mating, correct with offset dowels",
  hours: 1.5,
  skills: ["mechanic"],
  reversible: true,
  caution: "Turn the crank by hand with the plugs out and the starter disconnected."
};
var noBolts = { code: BRIDGE, words: "Too few bolts meet: an adapter plate joins the two patterns", pieces: PLATE };
var partial = {
  code: WORK,
  words: "Enough bolts meet; the missing ones are drilled or done without",
  task: {
    id: "missing-bell-bolts",
    words: "Drill and tap the missing bell bolts, or record that they are left out",
    hours: 3,
    skills: ["machine"],
    reversible: false,
    caution: "Last check before drilling a case: lay the printed pattern on it once more. A cut casting cannot be uncut."
  }
};
var dowelsMiss = { code: BRIDGE, words: "Dowels miss or are too tight: a plate with both dowel patterns", pieces: PLATE };
var noDowels = { code: WORK, words: "No dowels locate the case: bolts only clamp", task: REAM };
var looseDowels = { code: WORK, words: "Dowels are too loose to locate", task: REAM };
var plasma = { code: WORK, words: "Holes cut by plasma do not locate dowels", task: REAM };
var mayTurn = {
  code: WORK,
  words: "The case is turned: lever, starter and mount move with it",
  task: { id: "turned-case", words: "Check lever, starter and mount at the turned case", hours: 2, skills: ["mechanic"], reversible: true }
};
var mayNotTurn = { code: BRIDGE, words: "Bolts meet only with the case turned, and it may not turn", pieces: PLATE };
var unproved = { code: WORK, words: "On the axis as far as is known, but known only loosely", task: INDICATE };
var apart2 = { code: BRIDGE, words: "Axes stand too far apart: a plate carries both patterns on one axis", pieces: PLATE };
var offsetDowels = { code: WORK, words: "Axes stand apart: offset dowels correct it", task: INDICATE };
var PATTERNS2 = { holesA: a.face.holes, holesB: b.face.holes, dowelsA: aside(a.face.dowels), dowelsB: aside(b.face.dowels) };
var matchOf = (x, { tolerances: tolerances2 }) => matchHoles(x.holesA, x.dowelsA, x.holesB, x.dowelsB, tolerances2.axisOffsetFitsMm);
var matchOrNone = (x, { tolerances: tolerances2 }) => matchHoles(x.holesA, x.dowelsA, x.holesB, x.dowelsB, tolerances2.axisOffsetFitsMm);
var families = { familyA: aside(a.face.family), familyB: aside(b.face.family) };
var isOneFamily = formula(families, (x) => x.familyA !== null && x.familyA === x.familyB);
var isSearched = formula(families, (x) => x.familyA === null || x.familyA !== x.familyB);
var hasNone = (x) => x.dowelsA?.length === 0 || x.dowelsB?.length === 0;
var dowelsAside = { dowelsA: aside(a.face.dowels), dowelsB: aside(b.face.dowels) };
var BOLTS = { id: "bolts", label: "Bolts meet", unit: "" };
var DOWELS = { id: "dowels", label: "Dowels locate", unit: "" };
var bolts = [
  { ...BOLTS, when: isOneFamily, names: [a.face.family, b.face.family], holds: formula({}, () => true), otherwise: noBolts },
  {
    ...BOLTS,
    when: isSearched,
    holds: formula(PATTERNS2, (x, shop) => {
      const { missingA, missingB } = matchOf(x, shop);
      return missingA.length === 0 && missingB.length === 0;
    }),
    otherwise: [
      {
        when: formula(PATTERNS2, (x, shop) => {
          const { dowelsMeet, share: share2, quadrants } = matchOf(x, shop);
          return dowelsMeet && share2 >= shop.tolerances.boltShare && quadrants >= 3;
        }),
        becomes: partial
      },
      { becomes: noBolts }
    ]
  }
];
var isLoose = (x, shop) => {
  const match = matchOrNone(x, shop);
  return match !== null && match.dowelsMeet && match.dowelPlayMm > shop.tolerances.dowelPlayMm + SLACK;
};
var withDowels = { holesA: aside(a.face.holes), holesB: aside(b.face.holes), dowelsA: a.face.dowels, dowelsB: b.face.dowels };
var dowels2 = [
  { ...DOWELS, when: isOneFamily, names: [a.face.family, b.face.family], holds: formula(dowelsAside, (x) => !hasNone(x)), otherwise: noDowels },
  {
    ...DOWELS,
    when: isSearched,
    holds: formula(withDowels, (x, shop) => matchOrNone(x, shop)?.dowelsMeet === true && !isLoose(x, shop) && !hasNone(x)),
    otherwise: [{ when: formula(withDowels, hasNone), becomes: noDowels }, { when: formula(withDowels, isLoose), becomes: looseDowels }, { becomes: dowelsMiss }]
  }
];
var cut = { holesA: aside(a.face.holes), holesB: aside(b.face.holes), ...dowelsAside };
var isPlasma = (entry) => entry.process === "plasma";
var process2 = {
  id: "process",
  label: "Holes hold a dowel",
  unit: "",
  holds: formula(cut, ({ holesA, holesB, dowelsA, dowelsB }) => ![holesA, holesB, dowelsA, dowelsB].some((list) => list?.some(isPlasma))),
  otherwise: plasma
};
var axisOffset = bounded(
  PATTERNS2,
  (x, shop) => matchOf(x, shop).offsetMm,
  (x, pm, shop) => {
    const { offsetMm, byDowels } = matchOf(x, shop);
    const by2 = byDowels ? pm.dowelsA + pm.dowelsB : pm.holesA + pm.holesB;
    return [offsetMm - by2, offsetMm + by2];
  }
);
var axis = {
  id: "axis-offset",
  label: "Crank to shaft axis",
  unit: "mm",
  when: isSearched,
  measure: axisOffset,
  window: [0, "axisOffsetFitsMm"],
  proved: { within: "axisOffsetFitsMm", becomes: unproved },
  above: [{ when: formula(PATTERNS2, (x, shop) => matchOf(x, shop).offsetMm <= shop.tolerances.axisOffsetWorkMm + SLACK), becomes: offsetDowels }, { becomes: apart2 }]
};
var turn = {
  id: "turn",
  label: "Turn of the case",
  unit: "\xB0",
  when: isSearched,
  holds: formula(PATTERNS2, (x, shop) => {
    const { turnDeg, met } = matchOf(x, shop);
    return Math.abs(turnDeg) <= shop.tolerances.turnDeg || met.length === 0;
  }),
  otherwise: [{ ask: b.face.mayTurn, becomes: mayTurn }, { becomes: mayNotTurn }]
};
var blockFace = {
  id: "block-face",
  number: 1,
  short: "Face",
  title: "Block face to bellhousing",
  place: "coupling",
  meets: "faces",
  strip: "meeting",
  drawing: "holes",
  decides: "Pattern family, or a search of which holes meet: dowels place the case, bolts must then meet within their play; the axis offset is judged apart.",
  applies: always,
  limits: [...bolts, ...dowels2, process2, axis, turn],
  figures: [
    {
      label: "Bolts that meet",
      unit: "",
      when: isSearched,
      of: formula(PATTERNS2, (x, shop) => `${matchOf(x, shop).met.length} of ${Math.max(x.holesA.length, x.holesB.length)}`)
    },
    { label: "Least bolt play left", unit: "mm", when: isSearched, of: formula(PATTERNS2, (x, shop) => -matchOf(x, shop).worstMm) },
    { label: "Crank to shaft axis", unit: "mm", when: isSearched, of: formula(PATTERNS2, (x, shop) => matchOf(x, shop).offsetMm) },
    { label: "Turn of the case", unit: "\xB0", when: isSearched, of: formula(PATTERNS2, (x, shop) => matchOf(x, shop).turnDeg) },
    {
      label: "Overhang past the other outline",
      unit: "mm",
      when: isSearched,
      of: formula({ outlineA: a.face.outline, outlineB: b.face.outline }, (x) => overhang(x.outlineA, x.outlineB))
    }
  ],
  cautions: [
    {
      words: "How the dowel holes were cut is not stated. Ream or mill them; plasma does not hold a dowel.",
      when: formula(dowelsAside, ({ dowelsA, dowelsB }) => [...dowelsA ?? [], ...dowelsB ?? []].some((dowel) => dowel.process === void 0))
    }
  ],
  cures: { plate: "face" },
  hardware
};
function hardware(a2, b2, plateMm) {
  const holes3 = a2.face.holes.v ?? [];
  const thread2 = holes3.find((hole2) => hole2.thread)?.thread ?? null;
  const pin = a2.face.dowels.v?.find((dowel) => dowel.pin);
  const hole = b2.face.dowels.v?.[0];
  const pm = (value, field) => ({ ...field, v: value, pm: 0.01 });
  return {
    bolts: boltSet({
      words: plateMm > 0 ? "Plate to block" : "Bell to block",
      thread: thread2,
      count: holes3.length,
      ...plateMm > 0 ? { grip: plateMm } : {},
      into: "aluminium",
      usual: "8.8"
    }),
    fits: pin && hole ? locatedFit("Dowel in its hole", pm(hole.d, b2.face.dowels), pm(pin.d, a2.face.dowels)) : []
  };
}

// core/mechanics/clutch.ts
var MM2 = 1e-3;
var FACES = 2;
var clutchCapacity = (clampN, friction, outerMm, innerMm, faces = FACES) => faces * friction * clampN * ((outerMm + innerMm) / 4 * MM2);
var pistonArea = (outerMm, innerMm = 0) => Math.PI / 4 * (outerMm ** 2 - innerMm ** 2);
var slaveStroke = (masterStrokeMm, masterMm, slaveMm, innerMm = 0) => masterStrokeMm * (pistonArea(masterMm) / pistonArea(slaveMm, innerMm));
var releaseTravel = (pedalMm, pedalRatio, areaRatio, forkRatio, kept6) => pedalMm / pedalRatio * areaRatio * kept6 / forkRatio;

// core/joints/clutch-cover.ts
var another = (words3) => ({ code: BRIDGE, words: words3, pieces: ["cover", "flywheel"] });
var disc = (words3) => ({ code: BRIDGE, words: words3, pieces: ["disc", "flywheel", "cover"] });
var seat2 = b.clutchSeat;
var cover = b.coverMount;
var lining = b.discFace;
var counts2 = { cover: cover.bolts, seat: seat2.bolts };
var held = computed(
  { clampN: cover.clampN, friction: lining.friction, outerMm: lining.outerMm, innerMm: lining.innerMm },
  (x) => clutchCapacity(Math.max(0, x.clampN), Math.max(0, x.friction), Math.max(0, x.outerMm), Math.max(0, x.innerMm)),
  { clampN: 1, friction: 1, outerMm: 1, innerMm: 1 }
);
var clutchCover = {
  id: "clutch-cover",
  number: 6,
  short: "Cover",
  title: "Clutch cover on flywheel",
  place: "coupling",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Bolt circle, count and holes, dowels, depth of the seat, lining on its face, and the torque held by uniform wear against engine peak with a reserve.",
  applies: onManual,
  limits: [
    {
      id: "cover-circle",
      label: "Bolt circles agree",
      unit: "mm",
      terms: [plus(cover.circleMm), minus(seat2.circleMm)],
      window: ["-circleMm", "circleMm"],
      below: another("The cover is smaller than its seat"),
      above: another("The cover is wider than its seat")
    },
    {
      id: "cover-bolts",
      label: "Bolts are as many",
      unit: "",
      holds: formula(counts2, (x) => x.cover === x.seat),
      otherwise: another(formula(counts2, (x) => `${x.cover} holes over ${x.seat} bolts`))
    },
    {
      id: "cover-holes",
      label: "Holes over the bolts",
      unit: "mm",
      terms: [plus(cover.holeMm)],
      measure: measure({ thread: seat2.thread }, ({ thread: thread2 }) => -threadDiameter(thread2), {}),
      window: [0, "coverHoleMm"],
      below: another("The bolts do not go through the cover"),
      above: another("The holes are too wide for the bolts")
    },
    {
      id: "cover-dowels",
      label: "Dowels centre the cover",
      unit: "",
      holds: formula({ cover: cover.dowelMm, seat: seat2.dowelMm }, (x, { tolerances: tolerances2 }) => x.seat > 0 && Math.abs(x.cover - x.seat) <= tolerances2.circleMm + SLACK),
      otherwise: another("No dowel centres the cover: it runs out of balance")
    },
    {
      id: "cover-step",
      label: "Seat is as deep as the cover wants",
      unit: "mm",
      terms: [plus(seat2.stepMm), minus(cover.stepMm)],
      window: ["-coverSeatMm", "coverSeatMm"],
      below: another("The seat is too shallow: the clutch clamps too hard"),
      above: another("The seat is too deep: the clutch slips")
    },
    {
      id: "lining-outer",
      label: "Lining inside its face, outer",
      unit: "mm",
      terms: [plus(seat2.outerMm), minus(lining.outerMm)],
      window: [0, Infinity],
      below: disc("The lining stands past the clutch face")
    },
    {
      id: "lining-inner",
      label: "Lining on its face, inner",
      unit: "mm",
      terms: [plus(lining.innerMm), minus(seat2.innerMm)],
      window: [0, Infinity],
      below: disc("The lining runs over the inner edge of the clutch face")
    },
    {
      id: "clutch-capacity",
      label: "Torque the clutch holds over what it must",
      unit: "N\xB7m",
      damage: true,
      terms: [plus(held)],
      measure: measure({ peakNm: a.engineOutput.peakTorqueNm }, ({ peakNm }, { tolerances: tolerances2 }) => -peakNm * tolerances2.clutchReserve, { peakNm: -1 }),
      window: [0, Infinity],
      below: { code: BRIDGE, words: "The clutch slips: a stronger cover, a grippier or larger disc", pieces: ["cover", "disc"] }
    }
  ],
  figures: [
    {
      label: "Torque the clutch holds",
      unit: "N\xB7m",
      of: formula({ held }, (x) => x.held)
    }
  ],
  cautions: [{ words: "Only covers and wheels rated for the redline: a burst clutch kills. All cover bolts, of the right class." }],
  cures: { cover: "instead", flywheel: "flange", disc: "instead" },
  hardware: (_a, b2) => ({
    bolts: boltSet({ words: "Cover to wheel", thread: b2.clutchSeat.thread.v, count: b2.clutchSeat.bolts.v, into: "steel", usual: "8.8" }),
    fits: locatedFit("Cover on its dowels", b2.coverMount.dowelMm, b2.clutchSeat.dowelMm)
  })
};

// core/joints/clutch-disc.ts
var another2 = (words3) => ({ code: BRIDGE, words: words3, pieces: ["disc"] });
var trial = {
  code: WORK,
  words: "Nothing says which way round",
  task: {
    id: "mark-disc",
    words: "Try the disc both ways against flywheel and cover, and mark the side that clears",
    hours: 0.5,
    skills: ["mechanic"],
    reversible: true,
    caution: "Old clutches may hold asbestos: wet, masked, no compressed air."
  }
};
var hub = b.discHub;
var shaft = b.inputShaft;
var splines = { hub: hub.splines, shaft: shaft.splines };
var forms = { hub: hub.form, shaft: shaft.form };
var clutchDisc = {
  id: "clutch-disc",
  number: 5,
  short: "Disc",
  title: "Clutch disc on input shaft",
  place: "coupling",
  meets: "whole",
  strip: "meeting",
  drawing: null,
  decides: "Count, form and \xD8 of the splines, hub length with its travel, and which way round: a reversed disc rubs its spring carrier on the flange bolts.",
  applies: onManual,
  limits: [
    {
      id: "splines",
      label: "Splines are as many",
      unit: "",
      holds: formula(splines, (x) => x.hub === x.shaft),
      otherwise: another2(formula(splines, (x) => `${x.hub} splines on ${x.shaft}`))
    },
    {
      id: "spline-form",
      label: "Splines are of one form",
      unit: "",
      holds: formula(forms, (x) => x.hub === x.shaft),
      otherwise: another2(formula(forms, (x) => `A ${x.hub} hub on ${x.shaft} splines`))
    },
    {
      id: "spline-major",
      label: "Hub over shaft, outer \xD8",
      unit: "mm",
      terms: [plus(hub.majorMm), minus(shaft.majorMm)],
      window: [0, "splineMm"],
      below: another2("The hub does not go over the shaft"),
      above: another2("The hub is loose on the shaft")
    },
    {
      id: "hub-length",
      label: "Splines longer than hub and its travel",
      unit: "mm",
      terms: [plus(shaft.splineEndMm), minus(shaft.splineStartMm), minus(hub.endMm), plus(hub.startMm)],
      window: [measure({}, (_, { tolerances: tolerances2 }) => 2 * tolerances2.hubTravelMm, {}), Infinity],
      below: another2("Splines are too short for this hub and its travel")
    },
    { id: "way-round", label: "The disc says which way round", unit: "", holds: formula({ marked: hub.marked }, ({ marked }) => marked !== "neither"), otherwise: trial },
    {
      id: "carrier",
      label: "Spring carrier clear of the flange bolts",
      unit: "mm",
      terms: [plus(b.flywheel.clutchFaceMm), minus(hub.carrierMm), minus(b.flangeBolts.headTallMm)],
      window: ["carrierClearMm", Infinity],
      below: { code: BRIDGE, words: "The spring carrier rubs on the flange bolts", pieces: ["disc", "flywheel", "spacer"] }
    }
  ],
  figures: [
    {
      label: "Marked side goes to the",
      unit: "",
      of: formula({ marked: hub.marked }, ({ marked }) => marked.replace(" side", "")),
      when: formula({ marked: hub.marked }, ({ marked }) => marked !== "neither")
    }
  ],
  cures: { disc: "instead", flywheel: "flange", spacer: "flange" }
};

// core/joints/stack.ts
var flange = [plus(a.crankFlange.proudMm), plus(spacers)];
var boreDatum = flange.map(({ sign, of }) => ({ sign, of: where(a.pilotBore.slot, "flange", of) }));
var keptOrigin = [plus(kept(plates)), plus(kept(b.mountPad.alongMm)), minus(kept(b.crossmember.alongMm))];
var chassisOrigin = [plus(setBack(a.enginePads.alongMm)), ...keptOrigin];

// core/joints/pull-up.ts
var pullUpTerms = [plus(b.pump.padMm), plus(plates), ...less(flange), ...less([plus(b.flexPads.heightMm)])];
var PULL_UP = {
  id: "pull-up",
  label: "Converter pull-up",
  unit: "mm",
  damage: true,
  terms: pullUpTerms,
  window: ["pullUpLowMm", "pullUpHighMm"],
  below: { code: BRIDGE, words: "No pull-up left: the engine will hardly turn by hand. A plate gives room", pieces: ["plate"] },
  above: {
    code: BRIDGE,
    words: "Pull-up too large: pump lugs half engaged. A spacer, or equal shims at the pads, takes it up",
    pieces: ["spacer", "flexplate"]
  }
};
var BY_HAND = { words: "Draw nothing up with the bolts: bring the case home by hand all round, or the pump breaks." };

// core/joints/search/flange-holes.ts
function matchFlange(crank4, wheel2, circleMm, playMm) {
  const toMm = circleMm / 2 * (Math.PI / 180);
  let met = 0;
  let worstMm = Infinity;
  for (const from of wheel2) {
    const base = crank4[0] - from;
    let least3 = Infinity;
    let most3 = -Infinity;
    for (const angle of crank4) {
      const miss = nearestMiss(angle, wheel2, base);
      if (Math.abs(miss) * toMm > 2 * playMm + 1e-9) continue;
      if (miss < least3) least3 = miss;
      if (miss > most3) most3 = miss;
    }
    const centre = most3 >= least3 ? (most3 + least3) / 2 : 0;
    for (let step = 0; step < 2; step++) {
      let count3 = 0;
      let worst = -Infinity;
      for (const angle of crank4) {
        const miss = Math.abs(nearestMiss(angle, wheel2, base + step * centre)) * toMm;
        if (miss > playMm + 1e-6) continue;
        count3++;
        if (miss > worst) worst = miss;
      }
      if (count3 === 0) worst = Infinity;
      if (count3 > met || count3 === met && worst < worstMm) {
        met = count3;
        worstMm = worst;
      }
      if (centre === 0) break;
    }
  }
  return { met, crank: crank4.length, wheel: wheel2.length, worstMm };
}
function nearestMiss(angle, wheel2, turn2) {
  let least3 = 360;
  for (const hole of wheel2) {
    const raw2 = angle - hole - turn2;
    const miss = raw2 - 360 * Math.round(raw2 / 360);
    if (Math.abs(miss) < Math.abs(least3)) least3 = miss;
  }
  return least3;
}

// core/joints/converter.ts
var plateOr = (words3) => ({ code: BRIDGE, words: words3, pieces: ["flexplate", "converter"] });
var another3 = (words3) => ({ code: BRIDGE, words: words3, pieces: ["converter"] });
var wrongBolt = {
  code: WORK,
  words: "Converter bolts are the wrong length",
  task: {
    id: "converter-bolts",
    words: "Get converter bolts of the right length and class: too long dents the converter",
    hours: 0.3,
    skills: ["mechanic"],
    reversible: true,
    caution: "Rotating hardware: the right class only, and the maker's torque."
  }
};
var seatIt = {
  code: WORK,
  words: "Pads differ: the converter is not home, or a plate is bent",
  task: { id: "seat-converter", words: "Turn and press the converter until it drops home, measure all pads again", hours: 0.5, skills: ["mechanic"], reversible: true }
};
var plate2 = b.flexPads;
var { converter: own2, pump: pump2 } = b;
var pattern2 = { padAngles: own2.padAngles, angles: plate2.angles, padCircleMm: own2.padCircleMm, holeMm: plate2.holeMm, thread: own2.padThread };
var matchOf2 = (x) => matchFlange(x.padAngles, x.angles, x.padCircleMm, (x.holeMm - threadDiameter(x.thread)) / 2);
var pads = [
  { id: "pads-equal", label: "Pads equal all round", unit: "mm", terms: [plus(pump2.padSpreadMm)], window: [0, "padSpreadMm"], above: seatIt },
  {
    id: "pads-meet",
    label: "Pads meet the flexplate",
    unit: "",
    holds: formula(pattern2, (x) => matchOf2(x).met === matchOf2(x).crank),
    otherwise: plateOr("Pads do not meet the flexplate at any turn")
  },
  {
    id: "pad-circle",
    label: "Pad circles agree",
    unit: "mm",
    terms: [plus(plate2.circleMm), minus(own2.padCircleMm)],
    window: ["-circleMm", "circleMm"],
    below: plateOr("Pad circles differ"),
    above: plateOr("Pad circles differ")
  },
  {
    id: "pad-thread",
    label: "Bolt thread is the pads'",
    unit: "",
    holds: formula({ pad: own2.padThread, bolt: plate2.boltThread }, (x) => threadKey(x.pad) === threadKey(x.bolt)),
    otherwise: wrongBolt
  },
  {
    id: "pad-reach",
    label: "Bolt reach into the pads",
    unit: "mm",
    terms: [plus(plate2.boltMm), minus(plate2.thickMm)],
    window: [
      measure({ thread: own2.padThread }, ({ thread: thread2 }, { tolerances: tolerances2 }) => tolerances2.padReach * threadDiameter(thread2), {}),
      measure({ depthMm: own2.padDepthMm }, ({ depthMm }, { tolerances: tolerances2 }) => depthMm - tolerances2.boltEndMm, { depthMm: 1 })
    ],
    below: wrongBolt,
    above: wrongBolt
  }
];
var nose = [
  {
    id: "nose-fit",
    label: "Nose in the crank bore, clearance",
    unit: "mm",
    terms: [plus(a.converterBore.boreMm), minus(own2.noseMm)],
    window: [0, "noseClearMm"],
    below: another3("Nose does not enter the crank"),
    above: { code: BRIDGE, words: "Nose is loose in the crank: a sleeve centres it", pieces: ["pilot", "converter"] }
  },
  {
    id: "nose-in",
    label: "Nose held in the crank bore",
    unit: "mm",
    terms: [minus(own2.noseTipMm), minus(plate2.heightMm)],
    window: ["noseInMm", Infinity],
    below: { code: BRIDGE, words: "Nose does not reach the crank bore: a sleeve carries it", pieces: ["pilot", "converter"] }
  },
  {
    id: "nose-clear",
    label: "Nose clear of the bottom",
    unit: "mm",
    damage: true,
    terms: [plus(a.converterBore.depthMm), plus(own2.noseTipMm), plus(plate2.heightMm)],
    window: ["noseBottomMm", Infinity],
    below: { code: BRIDGE, words: "The nose is longer than the crank bore is deep: measure again, or use a spacer, and check the pull-up again", pieces: ["spacer", "converter"] }
  }
];
var splines2 = [
  { id: "turbine-splines", label: "Turbine shaft splines", reads: { ours: own2.turbineSplines, theirs: pump2.turbineSplines } },
  { id: "stator-splines", label: "Stator splines", reads: { ours: own2.statorSplines, theirs: pump2.statorSplines } }
].map(
  ({ id: id3, label, reads }) => ({
    id: id3,
    label,
    unit: "",
    holds: formula(reads, (x) => x.ours === x.theirs),
    otherwise: another3(formula(reads, (x) => `${x.ours} splines on ${x.theirs}`))
  })
);
var atPump = [
  {
    id: "lugs",
    label: "Pump lugs engaged after pull-up",
    unit: "mm",
    damage: true,
    terms: [plus(pump2.lugsMm), ...less(pullUpTerms)],
    window: ["lugsMm", Infinity],
    below: { code: BRIDGE, words: "Pump lugs half engaged: they break and take the pump", pieces: ["spacer", "converter"] }
  },
  ...splines2,
  {
    id: "hub-in-pump",
    label: "Hub in the pump bush, clearance",
    unit: "mm",
    terms: [plus(pump2.bushMm), minus(own2.hubMm)],
    window: [0, "pumpBushMm"],
    below: another3("Hub does not enter the pump"),
    above: another3("Hub is loose in the pump: it leaks")
  }
];
var converter2 = {
  id: "converter",
  number: 8,
  short: "Converter",
  title: "Converter to flexplate, crank and pump",
  place: "coupling",
  meets: "whole",
  strip: "meeting",
  drawing: "stacks",
  decides: "Pull-up both ways from two depths before mating; nose and lugs after it; pads, bolts, splines of turbine and stator, hub, stall.",
  applies: onAutomatic,
  limits: [
    PULL_UP,
    ...pads,
    ...nose,
    ...atPump,
    {
      id: "stall",
      label: "Stall speed over torque peak",
      unit: "",
      measure: measure({ stallRpm: own2.stallRpm, peakRpm: a.engineOutput.peakTorqueRpm }, (x) => x.stallRpm / x.peakRpm, { stallRpm: 1, peakRpm: -1 }),
      window: ["stallLow", "stallHigh"],
      below: another3("Stalls far below the torque peak: sluggish away"),
      above: another3("Stalls above the torque peak: it slips and overheats on the road")
    }
  ],
  figures: [{ label: "Pads that meet", unit: formula(pattern2, (x) => `of ${matchOf2(x).crank}`), of: formula(pattern2, (x) => matchOf2(x).met) }],
  cautions: [BY_HAND],
  cures: { plate: "face", spacer: "flange", flexplate: "flange", converter: "instead", pilot: "pilot" },
  hardware: (a2, b2) => ({
    bolts: boltSet({
      words: "Converter to plate",
      thread: b2.flexPads.boltThread.v,
      count: b2.flexPads.angles.v?.length ?? Number.NaN,
      grip: b2.flexPads.thickMm.v,
      length: b2.flexPads.boltMm.v,
      into: "steel",
      usual: "8.8"
    }),
    fits: [...locatedFit("Converter nose in the crank", a2.converterBore.boreMm, b2.converter.noseMm), ...locatedFit("Hub in the pump bush", b2.pump.bushMm, b2.converter.hubMm)]
  })
};

// core/joints/crank-flange.ts
var PIECES = ["flywheel", "flexplate", "spacer"];
var BURST = "All maker's bolts, of the right class, with whole heads on metal: a flywheel that comes loose kills. Use the maker's torque.";
var bridge = (words3) => ({ code: BRIDGE, words: words3, pieces: PIECES });
var wrongLength = {
  code: WORK,
  words: "Bolts are the wrong length",
  task: { id: "flange-bolt-length", words: "Get flange bolts of the right length and class", hours: 0.5, skills: ["mechanic"], reversible: true, caution: BURST }
};
var offHead = { code: CLASH, words: "A bolt head stands over an edge" };
var boltLost = { code: CLASH, words: "The wheel has fewer holes than the crank: a maker's bolt would be lost" };
var rebalance = {
  code: WORK,
  words: "Wheel and crank are balanced differently",
  task: {
    id: "rebalance",
    words: "Balance the wheel to this crank",
    hours: 3,
    skills: ["machine"],
    reversible: false,
    caution: "Index-mark wheel and crank before they are parted; a machine shop balances rotating parts."
  }
};
var memory = /* @__PURE__ */ new WeakMap();
function remembered(crank4, wheel2, circle, play) {
  let row = memory.get(crank4);
  if (!row) memory.set(crank4, row = /* @__PURE__ */ new WeakMap());
  const found = row.get(wheel2);
  if (found && found.circle === circle && found.play === play) return found.match;
  const match = matchFlange(crank4, wheel2, circle, play);
  row.set(wheel2, { circle, play, match });
  return match;
}
var crank2 = a.crankFlange;
var wheel = b.flywheel;
var bolt = b.flangeBolts;
var threadOfCrank = { thread: aside(crank2.thread) };
var isBolted = formula(threadOfCrank, ({ thread: thread2 }) => thread2 !== "through");
var isThrough = formula(threadOfCrank, ({ thread: thread2 }) => thread2 === "through");
var pattern3 = { crankAngles: crank2.angles, wheelAngles: wheel.angles, circleMm: crank2.circleMm, holeMm: wheel.holeMm };
var tapped2 = { ...pattern3, thread: crank2.thread };
var through = { ...pattern3, thread: bolt.thread };
var matchOf3 = (x) => remembered(x.crankAngles, x.wheelAngles, x.circleMm, (x.holeMm - threadDiameter(x.thread)) / 2);
var allMeet = (x) => matchOf3(x).met === matchOf3(x).crank;
var isLost = (x) => {
  const { met, crank: wanted3, wheel: has2 } = matchOf3(x);
  return has2 < wanted3 && met === has2;
};
var holes2 = (reads, when) => ({
  id: "flange-holes",
  label: "Flange holes meet",
  unit: "",
  when,
  holds: formula(reads, allMeet),
  otherwise: [{ when: formula(reads, isLost), becomes: boltLost }, { becomes: bridge("Holes do not meet at any turn") }]
});
var half = (value) => value / 2;
var inner = measure({ circleMm: wheel.circleMm, registerMm: wheel.registerMm, headMm: bolt.headMm }, (x) => half(x.circleMm) - half(x.registerMm) - half(x.headMm), {
  circleMm: 1,
  registerMm: -1,
  headMm: -1
});
var outer = measure({ outerMm: wheel.outerMm, circleMm: wheel.circleMm, headMm: bolt.headMm }, (x) => half(x.outerMm) - half(x.circleMm) - half(x.headMm), {
  outerMm: 1,
  circleMm: -1,
  headMm: -1
});
var showMet = (reads, when) => ({
  label: "Holes that meet",
  unit: formula(reads, (x) => `of ${matchOf3(x).crank}`),
  of: formula(reads, (x) => matchOf3(x).met),
  when
});
var crankFlange2 = {
  id: "crank-flange",
  number: 2,
  short: "Crank",
  title: "Crank flange to flywheel",
  place: "coupling",
  meets: "flanges",
  strip: "meeting",
  drawing: null,
  decides: "Angle of every hole at the best turn, circle, thread, register, bolt reach, balance, whole heads on metal.",
  applies: always,
  limits: [
    holes2(tapped2, isBolted),
    holes2(through, isThrough),
    {
      id: "flange-circle",
      label: "Bolt circles agree",
      unit: "mm",
      terms: [plus(wheel.circleMm), minus(crank2.circleMm)],
      window: ["-circleMm", "circleMm"],
      below: bridge("Bolt circles differ"),
      above: bridge("Bolt circles differ")
    },
    {
      id: "register",
      label: "Register clearance",
      unit: "mm",
      terms: [plus(wheel.registerMm), minus(crank2.registerMm)],
      window: [0, "registerMaxMm"],
      below: bridge("Wheel does not go over the register"),
      above: bridge("Wheel is loose on the register")
    },
    {
      id: "balance",
      label: "Balance is the same kind",
      unit: "",
      holds: formula({ crank: crank2.balance, wheel: wheel.balance }, (x) => x.crank === x.wheel),
      otherwise: rebalance
    },
    {
      id: "flange-thread",
      label: "Bolt thread is the crank's",
      unit: "",
      when: isBolted,
      holds: formula({ crank: crank2.thread, bolt: bolt.thread }, (x) => threadKey(x.crank) === threadKey(x.bolt)),
      otherwise: bridge("Bolt thread differs")
    },
    {
      id: "bolt-reach",
      label: "Bolt reach into the crank",
      unit: "mm",
      when: isBolted,
      terms: [plus(bolt.lengthMm), minus(bolt.clampedMm), minus(spacers)],
      window: [
        measure({ thread: crank2.thread }, ({ thread: thread2 }) => threadDiameter(thread2), {}),
        measure({ depthMm: crank2.holeDepthMm }, ({ depthMm }, { tolerances: tolerances2 }) => depthMm - tolerances2.boltEndMm, { depthMm: 1 })
      ],
      below: wrongLength,
      above: wrongLength
    },
    { id: "head-inner", label: "Head on metal, inner edge", unit: "mm", when: isBolted, measure: inner, window: ["headEdgeMm", Infinity], below: offHead },
    { id: "head-outer", label: "Head on metal, outer edge", unit: "mm", when: isBolted, measure: outer, window: ["headEdgeMm", Infinity], below: offHead }
  ],
  figures: [showMet(tapped2, isBolted), showMet(through, isThrough)],
  cautions: [{ words: BURST, when: isBolted }],
  cures: { flywheel: "flange", flexplate: "flange", spacer: "flange" },
  hardware: (a2, b2) => {
    const { thread: thread2, lengthMm, clampedMm, torqueNm, angleDeg, boltClass } = b2.flangeBolts;
    return {
      bolts: boltSet({
        words: "Wheel to crank, every maker\u2019s bolt, new",
        thread: thread2.v,
        count: a2.crankFlange.angles.v?.length ?? Number.NaN,
        grip: clampedMm.v,
        length: lengthMm.v,
        into: "steel",
        usual: "10.9",
        claimed: { torqueNm, angleDeg, boltClass }
      }),
      fits: locatedFit("Register of the wheel on the crank", b2.flywheel.registerMm, a2.crankFlange.registerMm)
    };
  }
};

// core/joints/crank-sensor.ts
var sensor = a.crankSensor;
var readsAt = { readsAt: aside(sensor.readsAt) };
var isOnWheel = (at2) => at2 === "wheel" || at2 === "wheel, from the bell";
var onWheel = formula(readsAt, (x) => isOnWheel(x.readsAt));
var elsewhere = formula(readsAt, (x) => !isOnWheel(x.readsAt));
var teeth = { sensor: sensor.teeth, wheel: b.trigger.teeth };
var TEETH = { id: "trigger-teeth", label: "Wheel has the teeth the sensor counts", unit: "" };
var crankSensor2 = {
  id: "crank-sensor",
  number: 11,
  short: "Sensor",
  title: "Crank sensor",
  place: "coupling",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Where it reads: at nose or block it stays; on the wheel the teeth must be there; in the bell its seat must be too.",
  applies: formula(readsAt, (x) => x.readsAt !== "none"),
  limits: [
    { ...TEETH, when: elsewhere, names: [sensor.readsAt], holds: formula({}, () => true) },
    {
      ...TEETH,
      when: onWheel,
      names: [sensor.readsAt],
      holds: formula(teeth, (x) => x.wheel === x.sensor),
      otherwise: {
        code: BRIDGE,
        words: formula(teeth, (x) => `A wheel with ${x.sensor} trigger teeth, or a trigger ring at the crank nose`),
        pieces: ["flywheel", "flexplate", "trigger-ring"]
      }
    },
    {
      id: "sensor-seat",
      label: "Bell holds the sensor",
      unit: "",
      when: formula(readsAt, (x) => x.readsAt === "wheel, from the bell"),
      names: [sensor.readsAt],
      holds: formula({ drilled: b.sensorSeat.drilled }, ({ drilled: drilled2 }) => drilled2 === true),
      otherwise: {
        code: WORK,
        words: "The bell has no seat for the crank sensor: the engine does not run without it",
        task: {
          id: "sensor-bracket",
          words: "Drill the bell for the sensor, or bracket it to the block, and set its gap",
          hours: 3,
          skills: ["machine"],
          reversible: false,
          caution: "Last check before the bell is drilled: sensor over the teeth, wheel turned by hand, plugs out."
        }
      }
    }
  ],
  cures: { flywheel: "flange", flexplate: "flange", "trigger-ring": "elsewhere" }
};

// core/joints/depth.ts
var pilotPiece2 = { code: BRIDGE, words: "Shaft nose does not reach the pilot: an extension or sleeve, or a pilot further back", pieces: ["pilot", "spacer"] };
var plateBack = {
  code: BRIDGE,
  words: "Shaft stands too far forward: a plate moves it back. Run so, it bottoms and the engine will hardly turn by hand",
  pieces: ["plate", "separator"]
};
var tooClose = {
  code: BRIDGE,
  words: "Release bearing rides on the fingers: a plate gives room. Run so, the clutch slips and the bearing wears out",
  pieces: ["plate", "separator", "release-bearing"]
};
var tooFar = {
  code: BRIDGE,
  words: "Release bearing is too far from the fingers: a spacer brings the clutch back. Run so, the clutch never clears",
  pieces: ["spacer", "release-bearing"]
};
var offSplines = { code: BRIDGE, words: "Disc hub leaves its splines: another disc, plate or spacer", pieces: ["disc", "plate", "spacer"] };
var shim = {
  code: WORK,
  words: "Starter needs shims",
  task: {
    id: "starter-shim",
    words: "Shim the starter to its rest gap, check backlash over a whole turn",
    hours: 0.8,
    skills: ["mechanic"],
    reversible: true,
    caution: "Battery off before the starter cable is touched."
  }
};
var otherStarter = { code: BRIDGE, words: "Pinion stands wrong for the ring: another starter, plate or spacer", pieces: ["starter", "plate", "spacer", "flywheel"] };
var shortMesh = { code: BRIDGE, words: "Pinion covers too little of the ring: another starter", pieces: ["starter"] };
var shaft2 = b.inputShaft;
var piece = b.pilotPiece;
var hub2 = b.discHub;
var bearing = b.releaseBearing;
var motor = b.starter;
var type2 = aside(b.ratios.type);
var onManual2 = formula({ type: type2 }, ({ type: type5 }) => type5 !== "automatic");
var tip = [plus(plates), plus(shaft2.tipMm), ...less(boreDatum)];
var clutchFace = [...flange, plus(b.flywheel.clutchFaceMm)];
var manual = [
  {
    id: "nose",
    label: "Nose in the pilot",
    unit: "mm",
    terms: [plus(a.pilotBore.mouthMm), minus(piece.depthMm), ...less([plus(plates), plus(shaft2.tipMm), ...less(boreDatum)])],
    window: [measure({ widthMm: piece.widthMm }, ({ widthMm }, { tolerances: tolerances2 }) => Math.min(widthMm, tolerances2.noseEngageMm), { widthMm: 1 }), Infinity],
    below: pilotPiece2
  },
  {
    id: "tip-clear",
    label: "Shaft tip clear of the bottom",
    unit: "mm",
    damage: true,
    terms: [...tip, minus(a.pilotBore.bottomMm)],
    window: ["tipClearMm", Infinity],
    below: plateBack
  },
  {
    id: "shoulder-clear",
    label: "Shoulder clear of the pilot",
    unit: "mm",
    damage: true,
    terms: [plus(plates), plus(shaft2.noseEndMm), ...less(boreDatum), minus(a.pilotBore.mouthMm)],
    // A piece that stands proud of the bore meets the shoulder first.
    measure: measure({ depthMm: orElse(piece.depthMm, 0) }, ({ depthMm }) => Math.min(0, depthMm), { depthMm: 1 }),
    window: ["shoulderClearMm", Infinity],
    below: plateBack
  },
  {
    id: "hub-front",
    label: "Hub on splines, forward travel",
    unit: "mm",
    terms: [...clutchFace, plus(hub2.startMm), minus(plates), minus(shaft2.splineStartMm)],
    window: ["hubTravelMm", Infinity],
    below: offSplines
  },
  {
    id: "hub-rear",
    label: "Hub on splines, rearward travel",
    unit: "mm",
    terms: [plus(plates), plus(shaft2.splineEndMm), ...less(clutchFace), minus(hub2.endMm)],
    window: ["hubTravelMm", Infinity],
    below: offSplines
  },
  {
    id: "release-gap",
    label: "Release bearing gap",
    unit: "mm",
    damage: true,
    terms: [plus(plates), plus(bearing.restMm), ...less(clutchFace), minus(b.coverFingers.heightMm)],
    window: [measure({ low: bearing.gapLowMm }, ({ low }) => low, { low: 1 }), measure({ high: bearing.gapHighMm }, ({ high }) => high, { high: 1 })],
    below: tooClose,
    above: tooFar
  }
];
var starterGap = (isForward, isOnBlock) => {
  const rearward = [...flange, plus(b.ring.nearMm), ...isOnBlock ? [] : [minus(plates)], minus(motor.pinionMm)];
  return isForward ? less(rearward) : rearward;
};
var starter2 = [false, true].flatMap(
  (isForward) => [false, true].flatMap((isOnBlock) => {
    const terms = starterGap(isForward, isOnBlock);
    const isThis = formula({ way: aside(motor.way), mount: aside(motor.mount) }, ({ way, mount }) => way === "forward" === isForward && mount === "block" === isOnBlock);
    const isAtRest = formula(
      { gap: aside(total(terms)), way: aside(motor.way), mount: aside(motor.mount) },
      ({ gap, way, mount }, { tolerances: tolerances2 }) => way === null || mount === null || !(gap < tolerances2.starterGapLowMm - SLACK || gap > tolerances2.starterGapHighMm + SLACK)
    );
    return [
      {
        id: "starter-gap",
        label: "Starter rest gap",
        unit: "mm",
        when: isThis,
        names: [motor.mount, motor.way],
        terms,
        window: ["starterGapLowMm", "starterGapHighMm"],
        below: [{ within: 3, becomes: shim }, { becomes: otherStarter }],
        above: [{ within: 3, becomes: shim }, { becomes: otherStarter }]
      },
      {
        id: "starter-overlap",
        label: "Pinion over the ring",
        unit: "mm",
        when: [isThis, isAtRest],
        names: [motor.mount, motor.way],
        measure: measure({ gap: total(terms), throwMm: motor.throwMm, widthMm: b.ring.widthMm }, (x) => Math.min(x.throwMm - x.gap, x.widthMm), {
          gap: -1,
          throwMm: 1,
          widthMm: 1
        }),
        window: [measure({ widthMm: b.ring.widthMm }, ({ widthMm }, { tolerances: tolerances2 }) => tolerances2.starterOverlap * widthMm, { widthMm: 1 }), Infinity],
        below: shortMesh
      }
    ];
  })
);
var original = b.originalStack;
var depth = {
  id: "depth",
  number: 3,
  short: "Depth",
  title: "Depth",
  place: "coupling",
  meets: "whole",
  strip: "meeting",
  drawing: "stacks",
  decides: "Nose and tip in the pilot, hub on its splines, release gap, starter to ring; the converter pull-up on an automatic. Each from its own lengths.",
  applies: always,
  limits: [
    {
      id: "gearbox-kind",
      label: "Manual or automatic",
      unit: "",
      when: formula({ type: type2, isThere: shaft2.present }, (x) => x.type === null && !x.isThere),
      names: [b.ratios.type],
      holds: formula({}, () => true),
      otherwise: shim
    },
    { ...PULL_UP, when: onAutomatic },
    ...manual.map((limit) => ({ ...limit, when: onManual2 })),
    ...starter2
  ],
  figures: [
    {
      label: "e, flywheel forward of where this gearbox had it",
      unit: "mm",
      of: formula(
        { plates, spacers, proudMm: a.crankFlange.proudMm, platesThen: original.platesMm, flangeThen: original.flangeMm, spacersThen: orElse(original.spacersMm, 0) },
        (x) => x.plates - x.proudMm - x.spacers - (x.platesThen - x.flangeThen - x.spacersThen)
      )
    }
  ],
  cautions: [{ ...BY_HAND, when: onAutomatic }],
  cures: {
    plate: "face",
    separator: "instead",
    spacer: "flange",
    pilot: "pilot",
    disc: "instead",
    "release-bearing": "instead",
    starter: "instead",
    flywheel: "flange",
    flexplate: "flange"
  }
};

// core/joints/interval.ts
var about = (v, pm) => [v - pm, v + pm];
var subtract = ([a2, b2], [c, d]) => [a2 - d, b2 - c];
var absolute = ([a2, b2]) => a2 >= 0 ? [a2, b2] : b2 <= 0 ? [-b2, -a2] : [0, Math.max(-a2, b2)];
function hypot(...parts) {
  const ends = parts.map(absolute);
  return [Math.hypot(...ends.map(([least3]) => least3)), Math.hypot(...ends.map(([, most3]) => most3))];
}
function slope([least3, most3], [short, long]) {
  if (!(short > 0)) return [-Infinity, Infinity];
  const ends = [least3 / short, least3 / long, most3 / short, most3 / long];
  return [Math.min(...ends), Math.max(...ends)];
}

// core/joints/drive-shafts.ts
var shaft3 = (words3) => ({ code: BRIDGE, words: words3, pieces: ["drive-shaft"] });
var { sideOutputs: box2, driveShafts: shafts2 } = b;
var length2 = (id3, side2, inner2, outer2, has2) => ({
  id: id3,
  label: `${side2} shaft over its length`,
  unit: "mm",
  damage: true,
  terms: [minus(has2)],
  measure: bounded(
    { inner: inner2, outer: outer2, dropMm: shafts2.dropMm },
    (x) => Math.hypot(x.outer - x.inner, x.dropMm),
    (x, pm) => hypot(subtract(about(x.outer, pm.outer), about(x.inner, pm.inner)), about(x.dropMm, pm.dropMm))
  ),
  window: [measure({ plungeMm: shafts2.plungeMm }, (x) => -x.plungeMm, { plungeMm: -1 }), measure({ plungeMm: shafts2.plungeMm }, (x) => x.plungeMm, { plungeMm: 1 })],
  below: shaft3(`${side2} shaft too long: it bottoms in its joint`),
  above: shaft3(`${side2} shaft too short: it pulls out of its joint`)
});
var degrees2 = (rise, run) => Math.atan2(rise, run) * 180 / Math.PI;
var across = { leftMm: box2.leftMm, rightMm: box2.rightMm, hubLeftMm: shafts2.hubLeftMm, hubRightMm: shafts2.hubRightMm, dropMm: shafts2.dropMm };
var driveShafts2 = {
  id: "drive-shafts",
  number: 17,
  short: "Drive shafts",
  title: "Transaxle to drive shafts",
  place: "vehicle",
  meets: "whole",
  strip: null,
  drawing: "shafts",
  decides: "Inner joint, hub splines, length on each side against its plunge, and joint angle at ride height.",
  applies: formula({ isNamed: shafts2.named, isTransaxle: known2(b.ratios.finalDrive) }, (x) => x.isNamed && x.isTransaxle),
  limits: [
    {
      id: "shaft-inner",
      label: "Inner joint fits the transaxle",
      unit: "",
      holds: formula({ box: box2.family, shafts: shafts2.family }, (x) => x.box === x.shafts),
      otherwise: shaft3("Another inner joint: shafts made up of the gearbox\u2019s inner and the hub\u2019s outer halves")
    },
    {
      id: "shaft-outer",
      label: "Outer splines fit the hub",
      unit: "",
      holds: formula({ shafts: shafts2.splines, hub: shafts2.hubSplines }, (x) => x.shafts === x.hub),
      otherwise: shaft3("Other outer splines than the hub")
    },
    length2("shaft-left", "Left", box2.leftMm, shafts2.hubLeftMm, shafts2.leftMm),
    length2("shaft-right", "Right", box2.rightMm, shafts2.hubRightMm, shafts2.rightMm),
    {
      id: "shaft-angle",
      label: "Joint angle left",
      unit: "\xB0",
      damage: true,
      terms: [plus(shafts2.mostDeg)],
      // The shorter side stands steeper.
      measure: bounded(
        across,
        (x) => -degrees2(Math.abs(x.dropMm), Math.min(x.hubLeftMm - x.leftMm, x.hubRightMm - x.rightMm)),
        (x, pm) => {
          const [leftLeast, leftMost] = subtract(about(x.hubLeftMm, pm.hubLeftMm), about(x.leftMm, pm.leftMm));
          const [rightLeast, rightMost] = subtract(about(x.hubRightMm, pm.hubRightMm), about(x.rightMm, pm.rightMm));
          const [dropLeast, dropMost] = hypot(about(x.dropMm, pm.dropMm));
          return [-degrees2(dropMost, Math.min(leftLeast, rightLeast)), -degrees2(dropLeast, Math.min(leftMost, rightMost))];
        }
      ),
      window: [0, Infinity],
      below: shaft3("Joints stand past the angle they allow: lower the train, or joints for more")
    }
  ],
  cautions: [{ words: "Wheels on their tyres or the axle on stands for every length: a hanging axle measures another shaft." }],
  cures: { "drive-shaft": "elsewhere" }
};

// core/joints/engine-mounts.ts
var LIFT = "Engine carried at rated points before a mount is undone; never under a hanging engine.";
var bracket = (words3) => ({ code: BRIDGE, words: words3, pieces: ["engine-mount"] });
var slotted = (words3) => ({
  code: WORK,
  words: words3,
  task: { id: "slot-engine-mounts", words: "Slot or pack the engine brackets to suit", hours: 1.5, skills: ["mechanic"], reversible: false, caution: LIFT }
});
var steps = (words3, within3) => {
  const either2 = [{ within: within3, becomes: slotted(`${words3}, a little`) }, { becomes: bracket(words3) }];
  return { below: either2, above: either2 };
};
var pads2 = a.enginePads;
var mounts = b.chassisPads;
var engineMounts = {
  id: "engine-mounts",
  number: 19,
  short: "Mounts",
  title: "Engine mounts to chassis",
  place: "vehicle",
  meets: "whole",
  strip: "engine mounts",
  drawing: null,
  decides: "Pads against mounts along, across, in height and lean; studs; whether one is captive under torque.",
  applies: whereNamed(mounts),
  limits: [
    {
      id: "pads-along",
      label: "Pads over the mounts, along",
      unit: "mm",
      when: formula({}, (_, { placement }) => placement !== "set-back"),
      terms: [plus(pads2.alongMm), ...less(keptOrigin)],
      window: ["-mountMm", "mountMm"],
      ...steps("Pads and mounts stand apart along the vehicle", 7)
    },
    {
      id: "pads-across",
      label: "Pads over the mounts, across",
      unit: "mm",
      terms: [plus(pads2.spreadMm), minus(mounts.spreadMm)],
      window: ["-mountMm", "mountMm"],
      ...steps("Pads and mounts are not as wide", 7)
    },
    {
      id: "pads-height",
      label: "Crank axis over its wanted height",
      unit: "mm",
      terms: [plus(pads2.belowMm), minus(mounts.crankAboveMm)],
      window: ["-crankHeightMm", "crankHeightMm"],
      ...steps("The engine would not sit at its height", 10)
    },
    {
      id: "pads-lean",
      label: "Pads lean as the mounts do",
      unit: "\xB0",
      terms: [plus(pads2.angleDeg), minus(mounts.angleDeg)],
      window: ["-leanDeg", "leanDeg"],
      ...steps("Pads and mounts lean apart", 5)
    },
    {
      id: "pads-thread",
      label: "Studs are the same",
      unit: "",
      holds: formula({ pads: pads2.thread, mounts: mounts.thread }, (x) => threadKey(x.pads) === threadKey(x.mounts)),
      otherwise: {
        code: WORK,
        words: "Other studs",
        task: { id: "mount-studs", words: "Fit studs or sleeves that suit both", hours: 0.5, skills: ["mechanic"], reversible: true }
      }
    },
    {
      id: "captive",
      label: "One mount is captive",
      unit: "",
      holds: formula({ captive: mounts.captive }, ({ captive }) => captive === true),
      otherwise: {
        code: WORK,
        words: "Nothing holds the engine if a rubber tears",
        task: {
          id: "captive-mount",
          words: "Fit a captive mount or a strap on the side that lifts under torque",
          hours: 1.5,
          skills: ["mechanic"],
          reversible: true,
          caution: "An engine that lifts off a torn mount can hold the throttle open and foul the steering."
        }
      }
    }
  ],
  cures: { "engine-mount": "elsewhere" },
  hardware: (a2) => ({ bolts: boltSet({ words: "Engine mounts", thread: a2.enginePads.thread.v, count: 2, into: "steel", usual: "8.8" }), fits: [] })
};

// core/joints/gearbox-mount.ts
var LIFT2 = "Train held from above or on a stand before the mount is undone; never under a hanging train.";
var bracket2 = (words3) => ({ code: BRIDGE, words: words3, pieces: ["gearbox-mount"] });
var move = {
  code: WORK,
  words: "The crossmember is to be moved along",
  task: {
    id: "move-crossmember",
    words: "Move the gearbox crossmember: new holes, spreader plates, rust protection",
    hours: 4,
    skills: ["weld", "mechanic"],
    reversible: false,
    caution: LIFT2
  }
};
var redrill = {
  code: WORK,
  words: "Bolt spacing differs a little",
  task: { id: "slot-mount", words: "Slot the mount, or make a small plate with both spacings", hours: 1, skills: ["mechanic"], reversible: false, caution: LIFT2 }
};
var pack = {
  code: WORK,
  words: "A packer levels it",
  task: {
    id: "pack-gearbox-mount",
    words: "Make a packer for the gearbox mount, and check the driveline angles again",
    hours: 1,
    skills: ["mechanic"],
    reversible: true,
    caution: LIFT2
  }
};
var pad = b.mountPad;
var cross = b.crossmember;
var movedOr = (words3) => [{ ask: cross.mayMove, becomes: move }, { becomes: bracket2(words3) }];
var reach2 = (sign) => measure({ slotMm: cross.slotMm }, ({ slotMm }, { tolerances: tolerances2 }) => sign * (tolerances2.mountMm + slotMm), { slotMm: sign });
var spacing = [{ within: 20, becomes: redrill }, { becomes: bracket2("Bolt spacings differ") }];
var gearboxMount = {
  id: "gearbox-mount",
  number: 18,
  short: "Box mount",
  title: "Gearbox mount to crossmember",
  place: "vehicle",
  meets: "whole",
  strip: "gearbox mount",
  drawing: null,
  decides: "Place along the train (kept driveline: the gearbox sits here and places the train), bolt spacing, thread, height.",
  applies: whereNamed(cross),
  limits: [
    {
      id: "mount-place",
      label: "Mount over the crossmember, along",
      unit: "mm",
      when: formula({}, (_, { placement }) => placement === "set-back"),
      terms: [plus(plates), plus(pad.alongMm), minus(a.enginePads.alongMm), minus(cross.alongMm)],
      window: [reach2(-1), reach2(1)],
      below: movedOr("Mount stands ahead of the crossmember"),
      above: movedOr("Mount stands behind the crossmember")
    },
    {
      id: "mount-spacing",
      label: "Bolt spacings agree",
      unit: "mm",
      terms: [plus(pad.spacingMm), minus(cross.spacingMm)],
      window: ["-mountMm", "mountMm"],
      below: spacing,
      above: spacing
    },
    {
      id: "mount-thread",
      label: "Bolts are the same",
      unit: "",
      holds: formula({ pad: pad.thread, cross: cross.thread }, (x) => threadKey(x.pad) === threadKey(x.cross)),
      otherwise: {
        code: WORK,
        words: "Other bolts",
        task: { id: "mount-bolts", words: "Get mount bolts that suit both, with sleeves", hours: 0.3, skills: ["mechanic"], reversible: true }
      }
    },
    {
      id: "mount-height",
      label: "Pad above its seat",
      unit: "mm",
      // A level train: its axis stands above the seat by the mounts' height and the seat's drop.
      terms: [plus(b.chassisPads.crankAboveMm), plus(cross.belowMm), minus(pad.belowMm)],
      window: ["-mountMm", "mountMm"],
      below: [{ within: 30, becomes: pack }, { becomes: bracket2("The pad hangs below the seat: another mount, or the crossmember lower") }],
      above: [{ within: 30, becomes: pack }, { becomes: bracket2("The pad stands above the seat: a taller mount") }]
    }
  ],
  cures: { "gearbox-mount": "elsewhere" },
  hardware: (_a, b2) => ({ bolts: boltSet({ words: "Gearbox mount", thread: b2.mountPad.thread.v, count: 2, into: "steel", usual: "8.8" }), fits: [] })
};

// core/joints/judging/scene.ts
var NO_GRADE = 6;
var plain2 = (v) => ({ v, pm: 0, grade: NO_GRADE, claim: "here" });
var ABSENT = plain2(0);
var TRUE = plain2(true);
var FALSE = plain2(false);
var portAt = (scene, side2, slot) => scene[side2][slot];
var fieldOf = (port2, name2) => port2[name2];
var fieldAt = (scene, { side: side2, slot, field }) => fieldOf(portAt(scene, side2, slot), field);
var headOf = (port2, head) => head === "named" ? port2.part !== "?" : head === "slot" ? port2.slot : port2.present;
function stackFields({ stack }, kind, field, share2) {
  if (stack.length === 0) return [];
  return stack.flatMap(
    (part, index) => share2 === void 0 || share2.hasPart(index) ? part.ports.filter((port2) => port2.kind === kind).map((port2) => fieldOf(port2, field)) : []
  );
}
function isThere({ only }, scene) {
  if (!only) return true;
  for (const gate of only) {
    if ("shop" in gate) {
      if (!gate.shop(scene.shop)) return false;
    } else if ("word" in gate) {
      if (!gate.in.includes(lookUp(gate.word, scene).v)) return false;
    } else if (headOf(portAt(scene, gate.side, gate.slot), gate.head) !== gate.is) return false;
  }
  return true;
}
function lookUp(read, scene, share2) {
  if (read.only && !isThere(read, scene)) return "absent" in read ? plain2(read.absent) : ABSENT;
  const input2 = raw(read, scene, share2);
  return input2.claim === null && "else" in read ? plain2(read.else) : input2;
}
function raw({ source }, scene, share2) {
  switch (source.at) {
    case "side":
      return fieldAt(scene, source);
    case "head":
      return plain2(headOf(portAt(scene, source.side, source.slot), source.head));
    case "each":
      return source.field === "slot" ? plain2(scene.each.slot) : fieldOf(scene.each, source.field);
    case "item": {
      const { pm, grade: grade2, claim: claim2 } = lookUp(source.of, scene);
      return { v: scene.item, pm, grade: grade2, claim: claim2 };
    }
    case "stack":
      return sumOf(stackFields(scene, source.kind, source.field, share2));
    case "sum":
      return totalOf(source.terms, scene, share2);
    case "known":
      return lookUp(source.of, scene).claim === null ? FALSE : TRUE;
    case "computed":
      return computed2(source.measure, scene);
    case "either": {
      const one = lookUp(source.one, scene);
      return one.claim === null ? lookUp(source.other, scene) : one;
    }
  }
}
function sumOf(fields) {
  if (fields.length === 0) return ABSENT;
  return {
    v: fields.reduce((sum, { v }) => sum + v, 0),
    pm: fields.reduce((sum, { pm }) => sum + pm, 0),
    grade: fields.reduce((weakest, { grade: grade2, claim: claim2 }) => claim2 === null ? weakest : Math.min(weakest, grade2), NO_GRADE),
    claim: fields.some(({ claim: claim2 }) => claim2 === null) ? null : "sum"
  };
}
function computed2({ reads, of, sense }, scene) {
  const x = {};
  const low = {};
  const high = {};
  let grade2 = NO_GRADE;
  let claim2 = "computed";
  for (const name2 in reads) {
    const read = reads[name2];
    const input2 = lookUp(read, scene);
    x[name2] = input2.v;
    const by2 = (sense[name2] ?? 0) * input2.pm;
    low[name2] = atEnd(input2.v, -by2);
    high[name2] = atEnd(input2.v, by2);
    if (read.isAside) continue;
    if (input2.claim === null) claim2 = null;
    if (input2.grade >= 0 && input2.grade < grade2) grade2 = input2.grade;
  }
  const v = of(x, scene.shop);
  const ends = [of(low, scene.shop), of(high, scene.shop)];
  return { v, pm: Math.max(v - ends[0], ends[1] - v), grade: grade2, claim: claim2, ends };
}
function atEnd(v, by2) {
  if (by2 === 0 || Number.isNaN(by2)) return v;
  if (typeof v === "number") return v + by2;
  return Array.isArray(v) && typeof v[0] === "number" ? v.map((entry) => entry + by2) : v;
}
function totalOf(terms, scene, share2) {
  let v = 0;
  let pm = 0;
  let grade2 = NO_GRADE;
  let claim2 = "sum";
  for (const { sign, of } of terms) {
    if (share2 && !share2.has(of)) continue;
    const input2 = lookUp(of, scene, share2);
    v += sign * input2.v;
    pm += input2.pm;
    if (input2.claim === null) claim2 = null;
    if (input2.grade >= 0 && input2.grade < grade2) grade2 = input2.grade;
  }
  return { v, pm, grade: grade2, claim: claim2 };
}
var fieldsOf = (read, scene) => read.isAside ? [] : leavesOf(read, scene);
function leavesOf(read, scene, share2) {
  if (!isThere(read, scene)) return [];
  const { source } = read;
  switch (source.at) {
    case "side":
      return [fieldAt(scene, source)];
    case "each":
      return source.field === "slot" ? [] : [fieldOf(scene.each, source.field)];
    case "item":
    case "known":
      return source.at === "known" && share2 === void 0 ? [] : leavesOf(source.of, scene);
    case "stack":
      return stackFields(scene, source.kind, source.field, share2);
    case "sum":
      return source.terms.flatMap(({ of }) => share2 && !share2.has(of) ? [] : leavesOf(of, scene, share2));
    case "computed":
      return Object.values(source.measure.reads).flatMap((one) => leavesOf(one, scene, share2));
    case "either":
      return leavesOf(lookUp(source.one, scene).claim === null ? source.other : source.one, scene);
    case "head":
      return [];
  }
}

// core/joints/judging/half.ts
var WHOLE = { read: () => 0, part: () => 0 };
var EMPTY_HALF = { isKnown: true, weakest: NO_GRADE, sum: 0, pm: 0, guards: [], main: [], rungs: [], asks: [], solved: [] };
var Part = class {
  constructor(names, terms, guards2, main, rungs, asks, share2) {
    this.names = names;
    this.terms = terms;
    this.guards = guards2;
    this.main = main;
    this.rungs = rungs;
    this.asks = asks;
    this.share = share2;
  }
  names;
  terms;
  guards;
  main;
  rungs;
  asks;
  share;
  /** Reads nothing at all: it is the same in every scene. */
  get isEmpty() {
    const reads = ({ reads: reads2 }) => reads2.some((read) => read !== null);
    return this.names.length === 0 && this.terms.length === 0 && !this.guards.some(reads) && !this.main.some(reads) && !this.rungs.some(reads) && this.asks.every((read) => read === null);
  }
  /** What tells two scenes apart for it: the fields it comes to, and its values that are none. */
  signature(scene) {
    const reads = [...this.names, ...this.terms.map(({ of }) => of), ...[...this.guards, ...this.main, ...this.rungs].flatMap((formula2) => formula2.reads), ...this.asks].filter(
      (read) => read !== null
    );
    return reads.flatMap((read) => {
      const leaves = leavesOf(read, scene, this.share);
      return leaves.length > 0 && read.source.at !== "item" ? leaves : [...leaves, lookUp(read, scene, this.share).v];
    });
  }
  half(scene) {
    let isKnown2 = true;
    let weakest = NO_GRADE;
    let sum = 0;
    let pm = 0;
    const { share: share2 } = this;
    for (const read of this.names) {
      const { claim: claim2, grade: grade2 } = lookUp(read, scene, share2);
      if (claim2 === null) isKnown2 = false;
      if (grade2 >= 0 && grade2 < weakest) weakest = grade2;
    }
    for (const { sign, of } of this.terms) {
      const input2 = lookUp(of, scene, share2);
      if (input2.claim === null) isKnown2 = false;
      if (input2.grade >= 0 && input2.grade < weakest) weakest = input2.grade;
      sum += sign * input2.v;
      pm += input2.pm;
    }
    const main = [];
    for (const formula2 of this.main) {
      const inputs = inputsOf(formula2, scene, share2);
      main.push(inputs);
      for (let k = 0; k < inputs.list.length; k++) {
        const input2 = inputs.list[k];
        if (!input2 || formula2.reads[k].isAside) continue;
        if (input2.claim === null) isKnown2 = false;
        if (input2.grade >= 0 && input2.grade < weakest) weakest = input2.grade;
      }
    }
    return {
      isKnown: isKnown2,
      weakest,
      sum,
      pm,
      guards: this.guards.length === 0 ? NO_INPUTS : this.guards.map((formula2) => inputsOf(formula2, scene, share2)),
      main,
      rungs: this.rungs.length === 0 ? NO_INPUTS : this.rungs.map((formula2) => inputsOf(formula2, scene, share2)),
      asks: this.asks.length === 0 ? NO_ASKS : this.asks.map((read) => read && lookUp(read, scene, share2)),
      solved: []
    };
  }
};
var NO_INPUTS = [];
var NO_ASKS = [];
var inputsOf = ({ reads, isWhole, isNone }, scene, share2) => ({
  list: reads.map((read) => read && lookUp(read, scene, share2)),
  isWhole,
  isNone
});

// core/joints/judging/instances.ts
function instancesOf({ each }, scene) {
  if (!each) return [{ scene, at: void 0 }];
  if ("ratings" in each) {
    const found = scene.b.ratings.filter((rating2) => each.ratings(rating2.slot));
    const ratings2 = found.length === 0 && each.orMissing ? [PORT_KINDS.ratings.missing] : found;
    return ratings2.map((rating2) => ({ scene: { ...scene, each: rating2 }, at: rating2.torqueNm.at.partName }));
  }
  const list = lookUp(each.list, scene);
  const entries = list.claim !== null ? list.v : [each.unknown];
  return entries.map((entry) => ({ scene: { ...scene, item: entry }, at: each.at(entry) }));
}

// core/joints/judging/prepared.ts
var Prepared = class {
  reads;
  #names;
  #measure;
  #senses;
  #x;
  #low;
  #high;
  #pm;
  figure = Number.NaN;
  least = Number.NaN;
  most = Number.NaN;
  /** To be solved for what is loaded. */
  isOpen = true;
  /** Looks at how closely its inputs are known, not only at what they are. */
  #wantsPm;
  constructor(formula2) {
    this.#measure = formula2;
    this.#names = Object.keys(formula2.reads);
    this.reads = Object.values(formula2.reads);
    const blank = () => Object.fromEntries(this.#names.map((name2) => [name2, Number.NaN]));
    this.#x = blank();
    this.#low = blank();
    this.#high = blank();
    this.#pm = blank();
    this.#wantsPm = this.#measure.bound !== void 0 || formula2.of.length > 2;
    this.#senses = this.#names.map((name2) => this.#measure.sense?.[name2] ?? 0);
  }
  /** Writes what a half has of it; of a sum both halves share, both parts. */
  write({ list }, other2, withEnds) {
    const hasSense = withEnds && this.#measure.sense !== void 0;
    for (let k = 0; k < list.length; k++) {
      const input2 = list[k];
      if (!input2) continue;
      const name2 = this.#names[k];
      let { v, pm } = input2;
      const shared = other2?.list[k];
      if (shared) {
        v += shared.v;
        pm += shared.pm;
      }
      this.#x[name2] = v;
      if (withEnds || this.#wantsPm) this.#pm[name2] = pm;
      if (!hasSense) continue;
      const sense = this.#senses[k];
      if (input2.ends && sense !== 0) {
        this.#low[name2] = input2.ends[sense === 1 ? 0 : 1];
        this.#high[name2] = input2.ends[sense === 1 ? 1 : 0];
      } else {
        this.#low[name2] = atEnd(v, -sense * pm);
        this.#high[name2] = atEnd(v, sense * pm);
      }
    }
    this.isOpen = true;
    return this;
  }
  solve(shop, withEnds) {
    const measure2 = this.#measure;
    this.isOpen = false;
    this.figure = measure2.of(this.#x, shop, this.#pm);
    this.least = this.most = this.figure;
    if (!withEnds) return this;
    if (measure2.bound) [this.least, this.most] = measure2.bound(this.#x, this.#pm, shop);
    else if (measure2.sense) {
      this.least = measure2.of(this.#low, shop, this.#pm);
      this.most = measure2.of(this.#high, shop, this.#pm);
    }
    return this;
  }
  take({ figure: figure2, least: least3, most: most3 }) {
    this.figure = figure2;
    this.least = least3;
    this.most = most3;
    this.isOpen = false;
  }
  /** Deviation by one input at a time, each by what `spread` says of it. */
  deviations(shop, spread) {
    return this.#names.map((name2, k) => {
      const d = spread(this.reads[k]);
      const v = this.#x[name2];
      if (!(d > 0) || typeof v !== "number") return 0;
      const off = (by2) => Math.abs(this.#measure.of({ ...this.#x, [name2]: v + by2 }, shop, this.#pm) - this.figure);
      const most3 = Math.max(off(-d), off(d));
      return Number.isNaN(most3) ? Infinity : most3;
    });
  }
};

// core/joints/judging/plan.ts
var blankResult = () => ({
  isStated: false,
  isKnown: false,
  agreed: false,
  outside: false,
  straddles: false,
  code: FITS,
  weakest: NO_GRADE,
  outcome: null,
  asked: [],
  value: Number.NaN,
  down: Number.NaN,
  up: Number.NaN,
  low: Number.NaN,
  high: Number.NaN,
  lowLeast: Number.NaN,
  lowMost: Number.NaN,
  highLeast: Number.NaN,
  highMost: Number.NaN
});
var Plan = class {
  constructor(limit) {
    this.limit = limit;
    const [low, high] = limit.window ?? [];
    const prepare = (formula2) => formula2 ? new Prepared(formula2) : null;
    this.#guards = guardsOf(limit).map((guard) => new Prepared(guard));
    this.#measure = prepare(limit.measure);
    this.#lowEnd = prepare(typeof low === "object" ? low : void 0);
    this.#highEnd = prepare(typeof high === "object" ? high : void 0);
    this.#holds = prepare(limit.holds);
    this.#main = [this.#measure, this.#lowEnd, this.#highEnd, this.#holds].filter((one) => one !== null);
    const rungs = (steps2) => steps2.map((step) => ({ step, when: step.when ? this.#rungs.push(new Prepared(step.when)) - 1 : -1, ask: step.ask ? this.#asks.push(step.ask) - 1 : -1 }));
    this.#below = rungs(ladder(limit, true));
    this.#above = rungs(ladder(limit, false));
    this.#otherwise = rungs(stepsOf(limit.otherwise));
    this.#isSimple = this.#holds === null && limit.proved === void 0 && [...this.#below, ...this.#above].every(({ when, ask }) => when < 0 && ask < 0);
    this.needsEnds = limit.damage === true || limit.proved !== void 0;
  }
  limit;
  #guards;
  #measure;
  #lowEnd;
  #highEnd;
  #holds;
  #main;
  #rungs = [];
  #asks = [];
  #below;
  #above;
  #otherwise;
  #halves = [EMPTY_HALF, EMPTY_HALF];
  #isSimple;
  /** Ends are made where damage is at stake, or where a limit asks how closely its value is known. */
  needsEnds;
  /** Looks up what this limit reads in a scene: all of it. */
  half(scene) {
    this.#all ??= this.part(WHOLE, 0);
    return this.#all.half(scene);
  }
  #all = null;
  /** What one half looks up, found once for many scenes that are put together alike. */
  part(owner, which) {
    const { terms = [], names = [] } = this.limit;
    const isHere = (read) => {
      const whose = owner.read(read);
      return whose === which || whose === null;
    };
    const formulaOf = ({ reads }) => ({
      reads: reads.map((read) => isHere(read) ? read : null),
      isWhole: reads.every((read) => owner.read(read) === which),
      isNone: reads.length > 0 && !reads.some(isHere)
    });
    const share2 = owner === WHOLE ? void 0 : { has: isHere, hasPart: (index) => owner.part(index) === which };
    return new Part(
      names.filter((read) => isHere(read) && !read.isAside),
      terms.filter(({ of }) => isHere(of)),
      this.#guards.map(formulaOf),
      this.#main.map(formulaOf),
      this.#rungs.map(formulaOf),
      this.#asks.map((read) => isHere(read) ? read : null),
      share2
    );
  }
  /** Nothing but a sum against a fixed window: nothing to work out for each pair. */
  get isPlainSum() {
    return this.#main.length === 0 && this.#rungs.length === 0 && this.#asks.length === 0 && this.#guards.length === 0;
  }
  /** Whether the limit is stated at all, as far as one half alone can tell; null where the other half is needed. */
  states({ guards: guards2 }, shop) {
    let isSure = true;
    for (let k = 0; k < guards2.length; k++) {
      if (!guards2[k].isWhole) isSure = false;
      else if (!this.#guards[k].write(guards2[k], void 0, false).solve(shop, false).figure) return false;
    }
    return isSure ? true : null;
  }
  /** Asks the guards that lean on both halves, of what is loaded. */
  #isStated(shop) {
    const [one, other2] = this.#halves;
    for (let k = 0; k < this.#guards.length; k++) {
      const guard = this.#guards[k];
      if (one.guards[k]?.isWhole || other2.guards[k]?.isWhole) this.#solved(guard, one.guards[k], other2.guards[k], shop);
      else if (guard.isOpen) guard.solve(shop, false);
      if (!guard.figure) return false;
    }
    return true;
  }
  /** Writes a half on the sheets; `after` the other half is there, what both share is their sum. */
  load(which, half2, shop, after = which === 1, withEnds = this.needsEnds) {
    this.#halves[which] = half2;
    const other2 = after ? this.#halves[which === 0 ? 1 : 0] : EMPTY_HALF;
    for (let k = 0; k < half2.guards.length; k++) {
      const inputs = half2.guards[k];
      if (!inputs.isWhole && !inputs.isNone) this.#guards[k].write(inputs, other2.guards[k], false);
    }
    if (!half2.isKnown) return this;
    for (let m = 0; m < half2.main.length; m++) {
      const prepared = this.#main[m];
      const inputs = half2.main[m];
      if (inputs.isNone) continue;
      if (!inputs.isWhole) prepared.write(inputs, other2.main[m], withEnds);
      else {
        let solved = half2.solved[m];
        if (!solved) {
          const { figure: figure2, least: least3, most: most3 } = prepared.write(inputs, void 0, withEnds).solve(shop, withEnds);
          solved = half2.solved[m] = { figure: figure2, least: least3, most: most3 };
        }
        prepared.take(solved);
      }
    }
    return this;
  }
  /**
   * What a half brings to value and window: figures that add. Null where a guard or a formula leans on both halves, or
   * where a miss asks for more than how far it misses.
   */
  figures(half2, which, shop) {
    if (!this.#isSimple || this.#guards.length !== half2.guards.filter(({ isWhole, isNone }) => isWhole || isNone).length || half2.main.some(({ isWhole, isNone }) => !isWhole && !isNone))
      return null;
    const found = { value: half2.sum, down: half2.pm, up: half2.pm, low: 0, lowLeast: 0, lowMost: 0, high: 0, highLeast: 0, highMost: 0 };
    if (!half2.isKnown) return found;
    this.load(which, half2, shop, false);
    const [low, high] = this.limit.window ?? [-Infinity, Infinity];
    const mine = (prepared) => prepared !== null && half2.main[this.#main.indexOf(prepared)].isWhole && (which === 0 || prepared.reads.length > 0);
    if (mine(this.#measure)) {
      const measure2 = this.#measure;
      found.value += measure2.figure;
      found.down += measure2.figure - measure2.least;
      found.up += measure2.most - measure2.figure;
    }
    if (this.#lowEnd ? mine(this.#lowEnd) : which === 0) {
      this.#end(low, this.#lowEnd, shop, this.needsEnds, true);
      Object.assign(found, { low: figure, lowLeast: least, lowMost: most });
    }
    if (this.#highEnd ? mine(this.#highEnd) : which === 0) {
      this.#end(high, this.#highEnd, shop, this.needsEnds, true);
      Object.assign(found, { high: figure, highLeast: least, highMost: most });
    }
    return found;
  }
  /** Code of a miss, where nothing is asked but how far it misses. */
  codeOf(isUnder, miss, shop) {
    for (const { step } of isUnder ? this.#below : this.#above)
      if (step.within === void 0 || miss <= (typeof step.within === "number" ? step.within : shop.tolerances[step.within]) + SLACK) return step.becomes.code;
    throw new Error(`The limit "${this.limit.id}" has no step for a miss of ${miss}.`);
  }
  /** Judges what is loaded: with all that a record shows, or only what decides. `isStated` where the guard is already asked. */
  judge(shop, out2, forRecord = false, isStated = false) {
    const [one, other2] = this.#halves;
    out2.isStated = isStated || this.#guards.length === 0 || this.#isStated(shop);
    if (!out2.isStated) return out2;
    out2.asked.length = 0;
    out2.weakest = Math.min(one.weakest, other2.weakest);
    out2.agreed = out2.outside = out2.straddles = false;
    out2.outcome = null;
    out2.code = UNMEASURED;
    out2.value = out2.down = out2.up = out2.low = out2.high = Number.NaN;
    out2.isKnown = one.isKnown && other2.isKnown;
    if (this.#holds) this.#hold(this.#holds, shop, out2);
    else if (out2.isKnown || forRecord) this.#measured(shop, out2, forRecord || this.needsEnds);
    return out2;
  }
  #hold(holds, shop, out2) {
    if (!out2.isKnown) return;
    if (holds.isOpen) holds.solve(shop, false);
    if (holds.figure) agree(out2);
    else {
      out2.outside = true;
      this.#become(this.#otherwise, 0, shop, out2);
    }
  }
  #measured(shop, out2, withEnds) {
    const [low, high] = this.limit.window ?? [-Infinity, Infinity];
    this.#end(low, this.#lowEnd, shop, withEnds, out2.isKnown);
    out2.low = figure;
    out2.lowLeast = least;
    out2.lowMost = most;
    this.#end(high, this.#highEnd, shop, withEnds, out2.isKnown);
    out2.high = figure;
    out2.highLeast = least;
    out2.highMost = most;
    if (!out2.isKnown) return;
    const [one, other2] = this.#halves;
    out2.value = one.sum + other2.sum;
    out2.down = out2.up = one.pm + other2.pm;
    const measure2 = this.#measure;
    if (measure2) {
      if (measure2.isOpen) measure2.solve(shop, withEnds);
      out2.value += measure2.figure;
      out2.down += measure2.figure - measure2.least;
      out2.up += measure2.most - measure2.figure;
    }
    if (Number.isNaN(out2.value) || Number.isNaN(out2.low) || Number.isNaN(out2.high)) {
      out2.isKnown = false;
      out2.value = Number.NaN;
    } else this.#stand(shop, out2);
  }
  #stand(shop, out2) {
    const { limit } = this;
    out2.outside = isOutside(out2);
    const standing = judge(out2, limit.damage === true);
    if (standing === "straddles") out2.straddles = true;
    else if (standing === "under") this.#become(this.#below, out2.low - out2.value, shop, out2);
    else if (standing === "over") this.#become(this.#above, out2.value - out2.high, shop, out2);
    else if (limit.proved && !(plusMinusOf(out2) <= shop.tolerances[limit.proved.within] + SLACK)) {
      out2.outside = true;
      out2.outcome = limit.proved.becomes;
      out2.code = out2.outcome.code;
    } else agree(out2);
  }
  /** An end of the window into the three registers below; a computed one is NaN while something it reads is not known. */
  #end(end2, prepared, shop, withEnds, isKnown2) {
    if (!prepared) figure = least = most = typeof end2 === "number" ? end2 : this.#toleranceOf(end2, shop);
    else {
      if (isKnown2 && prepared.isOpen) prepared.solve(shop, withEnds);
      figure = isKnown2 ? prepared.figure : this.#endAlone(prepared, shop);
      least = prepared.least;
      most = prepared.most;
    }
  }
  /** A named end, looked up once while the shop's tolerances are the same. */
  #toleranceOf(name2, { tolerances: tolerances2 }) {
    if (this.#tolerances !== tolerances2) {
      this.#tolerances = tolerances2;
      this.#named.clear();
    }
    let value = this.#named.get(name2);
    if (value === void 0) this.#named.set(name2, value = name2.startsWith("-") ? -tolerances2[name2.slice(1)] : tolerances2[name2]);
    return value;
  }
  #tolerances = null;
  #named = /* @__PURE__ */ new Map();
  /** A computed end where the limit as a whole is not known: shown as far as its own inputs are. */
  #endAlone(prepared, shop) {
    const inputs = this.#halves[0].main[this.#main.indexOf(prepared)];
    return inputs?.isWhole ? prepared.write(inputs, void 0, false).solve(shop, false).figure : Number.NaN;
  }
  #solved(prepared, one, other2, shop) {
    if (one) prepared.write(one, void 0, false);
    if (other2) prepared.write(other2, one ?? void 0, false);
    return prepared.solve(shop, false).figure;
  }
  #become(rungs, miss, shop, out2) {
    const [one, other2] = this.#halves;
    for (const { step, when, ask } of rungs) {
      if (step.within !== void 0 && !(miss <= (typeof step.within === "number" ? step.within : shop.tolerances[step.within]) + SLACK)) continue;
      if (when >= 0 && !this.#solved(this.#rungs[when], one.rungs[when], other2.rungs[when], shop)) continue;
      if (ask >= 0) {
        const input2 = one.asks[ask] ?? other2.asks[ask];
        out2.asked.push(this.#asks[ask]);
        if (input2.claim === null) {
          out2.isKnown = out2.outside = false;
          out2.code = UNMEASURED;
          return;
        }
        if (input2.grade < out2.weakest) out2.weakest = input2.grade;
        if (input2.v !== true) continue;
      }
      out2.outcome = step.becomes;
      out2.code = out2.outcome.code;
      return;
    }
    throw new Error(`The limit "${this.limit.id}" has no step for a miss of ${miss}.`);
  }
  /** ± of each input of the value alone, for the root of squares: terms as they are, a measure by one input at a time. */
  deviations(shop, scene) {
    const spread = (read) => spreadOf(read, scene);
    return [...(this.limit.terms ?? []).map(({ of }) => spread(of)), ...this.#measure?.deviations(shop, spread) ?? []];
  }
};
function spreadOf(read, scene) {
  const { source } = read;
  const apart3 = source.at === "sum" ? source.terms.map(({ of }) => spreadOf(of, scene)) : source.at === "stack" ? fieldsOf(read, scene).map(({ pm }) => pm) : [lookUp(read, scene).pm];
  return apart3.length === 1 ? apart3[0] : Math.sqrt(apart3.reduce((sum, pm) => sum + pm * pm, 0));
}
var figure = Number.NaN;
var least = Number.NaN;
var most = Number.NaN;
function agree(out2) {
  out2.agreed = true;
  out2.code = FITS;
}
var plusMinusOf = ({ down: down6, up: up6 }) => Math.max(down6, up6);
var plans = /* @__PURE__ */ new WeakMap();
function planOf(limit) {
  let plan = plans.get(limit);
  if (!plan) plans.set(limit, plan = new Plan(limit));
  return plan;
}

// core/joints/judging/work-out.ts
function workOut({ reads, of }, scene) {
  const x = {};
  const pm = {};
  for (const name2 in reads) {
    const input2 = lookUp(reads[name2], scene);
    x[name2] = input2.v;
    pm[name2] = input2.pm;
  }
  return of(x, scene.shop, pm);
}
var wordsOf = ({ words: words3 }, scene) => typeof words3 === "string" ? words3 : workOut(words3, scene);

// core/joints/judging/tally.ts
var Tally = class {
  code = FITS;
  stated = 0;
  known = 0;
  agreed = 0;
  outside = 0;
  /** Weakest grade leaned on, 6 when nothing was read. */
  weakest = 6;
  #result = blankResult();
  /** Makes it blank again for the next joint. */
  reset() {
    this.code = FITS;
    this.stated = this.known = this.agreed = this.outside = 0;
    this.weakest = 6;
    return this;
  }
  /** Judges one meeting of a joint; false where it does not apply. */
  add(joint, scene) {
    if (!appliesTo(joint, scene)) return false;
    for (const limit of joint.limits) {
      const plan = planOf(limit).load(1, EMPTY_HALF, scene.shop);
      for (const { scene: here } of instancesOf(limit, scene)) this.#count(plan.load(0, plan.half(here), scene.shop).judge(scene.shop, this.#result));
    }
    return true;
  }
  /** Whether a joint is met and no code of it is worse than this: looked at no further than the first that is. */
  isAtMost(joint, scene, code) {
    if (!appliesTo(joint, scene)) return false;
    for (const limit of joint.limits) {
      const plan = planOf(limit).load(1, EMPTY_HALF, scene.shop);
      for (const { scene: here } of instancesOf(limit, scene)) {
        const result = plan.load(0, plan.half(here), scene.shop).judge(scene.shop, this.#result);
        if (result.isStated && result.code > code) return false;
      }
    }
    return true;
  }
  #count(result) {
    if (!result.isStated) return;
    this.stated++;
    if (result.isKnown) this.known++;
    if (result.agreed) this.agreed++;
    if (result.outside) this.outside++;
    if (result.code > this.code) this.code = result.code;
    if (result.weakest < this.weakest) this.weakest = result.weakest;
  }
};
var appliesTo = ({ applies }, scene) => workOut(applies, scene);

// core/joints/judging/record.ts
var Recorder = class {
  #code = FITS;
  #weakest = GRADES2.length;
  #known = 0;
  #agreed = 0;
  #outside = 0;
  #limits = [];
  #missing = /* @__PURE__ */ new Map();
  #fields = /* @__PURE__ */ new Map();
  #tasks = /* @__PURE__ */ new Map();
  #pieces = /* @__PURE__ */ new Set();
  #shown = [];
  #cautions = /* @__PURE__ */ new Set();
  #result = blankResult();
  /** Judges one meeting of a joint, named where there are several; false where it does not apply. */
  add(joint, scene, at2 = "") {
    if (!appliesTo(joint, scene)) return false;
    for (const limit of joint.limits) {
      const plan = planOf(limit).load(1, EMPTY_HALF, scene.shop, false, true);
      for (const instance of instancesOf(limit, scene)) {
        const result = plan.load(0, plan.half(instance.scene), scene.shop, false, true).judge(scene.shop, this.#result, true);
        if (result.isStated) this.#keep(limit, plan, result, instance.scene, instance.at ?? (at2 === "" ? void 0 : at2));
      }
    }
    for (const figure2 of joint.figures ?? []) for (const instance of instancesOf(figure2, scene)) this.#show(figure2, instance.scene);
    for (const caution of joint.cautions ?? []) this.#warn(caution, scene);
    return true;
  }
  /** The verdict as it stands; code strings as the wire carries them. */
  verdict(joint) {
    const stated = this.#limits.length;
    return {
      joint,
      code: CODES[this.#code],
      limits: this.#limits,
      stated,
      known: this.#known,
      agreed: this.#agreed,
      outside: this.#outside,
      lean: this.#outside > 0 ? "doubtful" : this.#known * 2 >= stated ? "likely" : "open",
      missing: [...this.#missing.values()],
      minutes: [...this.#missing.values()].reduce((total2, field) => total2 + field.minutes, 0),
      evidence: GRADES2[this.#weakest] ?? null,
      fields: [...this.#fields.values()],
      tasks: [...this.#tasks.values()],
      pieces: [...this.#pieces],
      shown: this.#shown,
      cautions: [...this.#cautions]
    };
  }
  #keep(limit, plan, result, scene, at2) {
    const inputs = [];
    for (const read of readsOf(limit).needed) for (const field of fieldsOf(read, scene)) inputs.push(field);
    for (const read of result.asked) for (const field of fieldsOf(read, scene)) inputs.push(field);
    this.#name(inputs);
    if (result.isKnown) this.#known++;
    if (result.agreed) this.#agreed++;
    if (result.outside) this.#outside++;
    const isMeasured = result.isKnown && !Number.isNaN(result.value);
    const pm = isMeasured ? plusMinusOf(result) : Number.NaN;
    if (isMeasured && !limit.damage && !isClose(limit, pm, scene)) this.#cautions.add(`${limit.label}: judged at the value given; its \xB1 is not known.`);
    if (result.straddles) for (const field of looseFields(limit, scene)) this.#miss(field);
    const { outcome } = result;
    const terms = [];
    for (const { sign, of } of limit.terms ?? []) for (const field of fieldsOf(of, scene)) terms.push(termOf(sign, field));
    const { value, down: down6, up: up6, low, high, lowMost, highLeast } = result;
    this.#limits.push({
      id: limit.id,
      label: limit.label,
      at: at2,
      unit: limit.unit,
      terms,
      value: isMeasured ? value : null,
      plusMinus: isMeasured ? finite(pm) : null,
      rootSumSquare: isMeasured ? finite(rootOfSquares(plan.deviations(scene.shop, scene))) : null,
      low: finite(low),
      high: finite(high),
      margin: isMeasured ? finite(Math.min(value - low, high - value)) : null,
      worstMargin: isMeasured ? finite(Math.min(value - lowMost - down6, highLeast - value - up6)) : null,
      damage: limit.damage ?? false,
      code: CODES[result.code],
      words: this.#words(limit, result, scene, inputs, pm),
      pieces: outcome?.pieces ?? NO_PIECES,
      task: outcome?.task
    });
    for (const piece3 of outcome?.pieces ?? []) this.#pieces.add(piece3);
    if (outcome?.task) {
      this.#tasks.set(outcome.task.id, outcome.task);
      if (outcome.task.caution) this.#cautions.add(outcome.task.caution);
    }
    this.#code = Math.max(this.#code, result.code);
    this.#weakest = Math.min(this.#weakest, result.weakest);
  }
  #words(limit, result, scene, inputs, pm) {
    if (result.code === UNMEASURED && !result.isKnown) {
      const unknown = inputs.filter((field) => field.claim === null && !isOptional(limit, field, scene));
      for (const field of unknown) this.#miss(field);
      return unknown.length > 0 ? `Not known: ${[...new Set(unknown.map((f) => `${f.at.partName}, ${lower(f.at.words.label)}`))].join("; ")}` : "Not known";
    }
    if (result.straddles)
      return Number.isFinite(pm) ? `Known only to \xB1 ${round2(pm)} ${limit.unit}: measure closer` : "Known, but nobody said how closely: measure with a stated method";
    return result.outcome ? wordsOf(result.outcome, scene) : "Agrees";
  }
  #name(fields) {
    for (const field of fields) {
      const key = `${field.at.port}.${field.at.field}`;
      if (!this.#fields.has(key)) this.#fields.set(key, missingField(field));
      if (field.claim !== null && field.conflict)
        this.#cautions.add(
          `${field.at.partName}: claims on "${field.at.words.label}" disagree beyond their \xB1. Wrong variant, worn or altered part, or mismeasured: look before you spend.`
        );
    }
  }
  #show({ label, unit: unit2, of, when }, scene) {
    const inputs = Object.values(of.reads).flatMap((read) => read.isAside ? [] : [lookUp(read, scene)]);
    if (inputs.some(({ claim: claim2 }) => claim2 === null) || when && !workOut(when, scene)) return;
    const value = workOut(of, scene);
    if (typeof value !== "number" || Number.isFinite(value)) this.#shown.push({ label, value, unit: typeof unit2 === "string" ? unit2 : workOut(unit2, scene) });
  }
  #warn({ words: words3, when }, scene) {
    if (!when || workOut(when, scene)) this.#cautions.add(words3);
  }
  #miss(field) {
    const missing = missingField(field);
    this.#missing.set(`${missing.port}.${missing.field}`, missing);
  }
};
var looseFields = (limit, scene) => readsOf(limit).needed.flatMap((read) => lookUp(read, scene).pm > 0 ? fieldsOf(read, scene).filter((field) => field.pm > 0) : []);
var isClose = ({ measure: measure2 }, pm, scene) => Number.isFinite(pm) && Object.values(measure2?.reads ?? {}).every((read) => {
  const input2 = lookUp(read, scene);
  return typeof input2.v === "string" || Number.isFinite(input2.pm);
});
var isOptional = (limit, field, scene) => readsOf(limit).needed.some((read) => "else" in read && fieldsOf(read, scene).includes(field));
var NO_PIECES = [];
var rootOfSquares = (deviations) => Math.sqrt(deviations.reduce((sum, d) => sum + d * d, 0));
var lower = (label) => label.charAt(0).toLowerCase() + label.slice(1);
var finite = (value) => Number.isFinite(value) ? value : null;
var round2 = (value) => Number(value.toFixed(3));
function missingField(field) {
  const { at: at2 } = field;
  return {
    part: at2.part,
    partName: at2.partName,
    port: at2.port,
    field: at2.field,
    label: at2.words.label,
    methods: at2.words.methods.map((id3) => METHODS[id3].words),
    minutes: at2.words.minutes
  };
}
function termOf(sign, field) {
  const isKnown2 = field.claim !== null;
  return {
    sign,
    label: field.at.words.label,
    part: field.at.partName,
    port: field.at.port,
    field: field.at.field,
    value: isKnown2 ? field.v : null,
    plusMinus: finite(field.pm),
    grade: isKnown2 ? GRADES2[field.grade] ?? null : null
  };
}

// core/joints/lever.ts
var cut2 = {
  code: WORK,
  words: "The opening is made longer",
  task: {
    id: "cut-lever-opening",
    words: "Cut the tunnel for the lever, frame and close the old opening, protect from rust",
    hours: 5,
    skills: ["weld"],
    reversible: false,
    caution: "Last check before the cut: train on its mounts, every gear selected. Battery, computers and alternator unplugged before welding; no fuel line near."
  }
};
var moved = (words3) => ({ code: BRIDGE, words: words3, pieces: ["lever-linkage"] });
var mirrored = {
  code: WORK,
  words: "The gate is mirrored",
  task: { id: "mirror-gate", words: "Cross the rods or cables so that the gate is right, mark the knob, try every gear", hours: 3, skills: ["mechanic"], reversible: true }
};
var stick = b.lever;
var opening = b.leverOpening;
var works = { ours: stick.work, vehicles: opening.work };
var place3 = [plus(stick.alongMm), plus(plates), ...less(chassisOrigin)];
var edge = (id3, label, terms, words3) => ({
  id: id3,
  label,
  unit: "mm",
  when: formula({ work: aside(stick.work) }, ({ work }) => work !== "cables" && work !== "rods"),
  terms,
  window: ["leverMm", Infinity],
  below: [{ ask: opening.mayCut, becomes: cut2 }, { becomes: moved(words3) }]
});
var lever2 = {
  id: "lever",
  number: 20,
  short: "Lever",
  title: "Gear lever in its opening",
  place: "vehicle",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Place along against both edges of the opening, how it is moved, and the sense of the gate.",
  applies: whereNamed(opening),
  limits: [
    {
      id: "lever-work",
      label: "Moved as the vehicle moves it",
      unit: "",
      holds: formula(works, (x) => x.ours === x.vehicles),
      otherwise: moved(formula(works, (x) => `Moved by ${x.ours}, the vehicle by ${x.vehicles}: another linkage`))
    },
    { id: "lever-gate", label: "Gate is as the driver expects", unit: "", holds: formula({ gate: stick.gate }, ({ gate }) => gate !== "mirrored"), otherwise: mirrored },
    edge("lever-front", "Lever behind the front edge", [...place3, minus(opening.fromMm)], "The lever stands too far forward: a remote linkage, or a bent lever"),
    edge("lever-rear", "Lever ahead of the rear edge", [...less(place3), plus(opening.toMm)], "The lever stands too far back: a remote linkage, or a bent lever")
  ],
  cures: { "lever-linkage": "elsewhere" }
};

// core/joints/load-signal.ts
var RUIN = "Without its load signal an automatic shifts soft and burns its clutches in hours: never drive it, not even to try, before the signal is set and its pressure read.";
var cam = {
  code: WORK,
  words: "The cable is pulled too little or too much",
  task: {
    id: "load-cam",
    words: "Make the throttle cam that gives the pull, and set it by line pressure",
    hours: 3,
    skills: ["machine", "mechanic"],
    reversible: true,
    caution: RUIN
  }
};
var { wants } = b.loadSignal;
var gives = a.loadSource;
var WAYS = [
  { way: "cable", source: gives.cable },
  { way: "vacuum", source: gives.vacuum },
  { way: "controller", source: gives.bus }
];
var SOURCE = { id: "load-source", label: "Engine tells its load as the automatic wants", unit: "" };
var byWay = WAYS.map(({ way, source }) => ({
  ...SOURCE,
  when: formula({ wants: aside(wants) }, (x) => x.wants === way),
  names: [wants],
  holds: formula({ source }, (x) => x.source === true),
  otherwise: {
    code: BRIDGE,
    words: "This engine does not tell its load that way: a stand-alone controller, a throttle bracket, or a sensor",
    pieces: ["load-controller"]
  }
}));
var loadSignal2 = {
  id: "load-signal",
  number: 14,
  short: "Load",
  title: "Load signal to gearbox",
  place: "vehicle",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Cable with its pull, vacuum, or a controller that reads throttle angle: what the automatic wants against what the engine gives.",
  applies: onAutomatic,
  limits: [
    { ...SOURCE, when: formula({ wants: aside(wants) }, (x) => !WAYS.some(({ way }) => way === x.wants)), names: [wants], holds: formula({}, () => true) },
    ...byWay,
    {
      id: "load-pull",
      label: "Cable pulled as far",
      unit: "mm",
      when: formula({ wants: aside(wants) }, (x) => x.wants === "cable"),
      terms: [plus(gives.pullMm), minus(b.loadSignal.pullMm)],
      window: ["-cablePullMm", "cablePullMm"],
      below: cam,
      above: cam
    }
  ],
  cautions: [{ words: RUIN }],
  cures: { "load-controller": "elsewhere" }
};

// core/joints/pilot.ts
var PIECE = ["pilot"];
var open = {
  code: WORK,
  words: "Too tight: open it to size",
  task: { id: "open-pilot", words: "Open the pilot piece to its running clearance; a bush closes up when pressed", hours: 1, skills: ["machine"], reversible: false }
};
var finish = {
  code: WORK,
  words: "The crank is not bored for a pilot",
  task: {
    id: "finish-pilot-bore",
    words: "Bore the crank for a pilot, true to the register",
    hours: 4,
    skills: ["machine"],
    reversible: false,
    caution: "Last check before a crank is cut: confirm the depth and that the shaft nose cannot be carried by a sleeve in the wheel."
  }
};
var loose = { code: BRIDGE, words: "Nose is loose: a bearing, bush or sleeve of the right bore", pieces: PIECE };
var falls = { code: BRIDGE, words: "Piece is loose in its bore: one of the right outer \xD8", pieces: PIECE };
var none = { code: BRIDGE, words: "There is no pilot piece: a bearing, bush or sleeve", pieces: PIECE };
var piece2 = b.pilotPiece;
var type3 = { type: aside(piece2.type) };
var nose2 = {
  id: "nose-clearance",
  label: "Nose in the pilot piece",
  unit: "mm",
  names: [piece2.type],
  terms: [plus(piece2.boreMm), minus(b.inputShaft.noseMm)],
  below: open,
  above: loose
};
var pilot = {
  id: "pilot",
  number: 4,
  short: "Pilot",
  title: "Pilot",
  place: "coupling",
  meets: "whole",
  strip: "meeting",
  drawing: null,
  decides: "Whether the bore is finished, the nose in its bearing or bush, the piece in its bore.",
  applies: onManual,
  limits: [
    { id: "bore-finished", label: "Pilot bore finished", unit: "", holds: formula({ finished: a.pilotBore.finished }, ({ finished }) => finished === true), otherwise: finish },
    { id: "pilot-there", label: "A pilot piece is fitted", unit: "", holds: formula({ type: piece2.type }, ({ type: type5 }) => type5 !== "none"), otherwise: none },
    { ...nose2, when: formula(type3, ({ type: type5 }) => type5 === "bearing"), window: [0, "bearingClearMm"] },
    { ...nose2, when: formula(type3, ({ type: type5 }) => type5 !== "bearing" && type5 !== "none"), window: ["bushClearLowMm", "bushClearHighMm"] },
    {
      id: "press",
      label: "Piece in the bore, interference",
      unit: "mm",
      when: formula(type3, ({ type: type5 }) => type5 !== "none"),
      terms: [plus(piece2.outerMm), minus(a.pilotBore.boreMm)],
      window: ["pressLowMm", "pressHighMm"],
      below: falls,
      above: open
    }
  ],
  cures: { pilot: "pilot" },
  hardware: (a2, b2) => ({
    bolts: [],
    fits: [...locatedFit("Pilot piece in its bore", a2.pilotBore.boreMm, b2.pilotPiece.outerMm, true), ...locatedFit("Nose in the pilot", b2.pilotPiece.boreMm, b2.inputShaft.noseMm)]
  })
};

// core/mechanics/driveline.ts
var RAD = Math.PI / 180;
var MM3 = 1e-3;
var STEEL = { youngPa: 207e9, densityKgM3: 7850 };
var residualAngle = (firstDeg, secondDeg, inPhase) => inPhase ? Math.sqrt(Math.abs(firstDeg ** 2 - secondDeg ** 2)) : Math.hypot(firstDeg, secondDeg);
function compoundAngle(sideDeg, planDeg) {
  const rise = Math.tan(sideDeg * RAD);
  const run = Math.tan(planDeg * RAD);
  return Math.atan(Math.hypot(rise, run)) / RAD;
}
function criticalSpeed(outerMm, wallMm, lengthMm, { youngPa, densityKgM3 } = STEEL) {
  const outer2 = outerMm * MM3;
  const inner2 = (outerMm - 2 * wallMm) * MM3;
  const length3 = lengthMm * MM3;
  return Math.PI / 2 * Math.sqrt(youngPa * (outer2 * outer2 + inner2 * inner2) / (16 * densityKgM3)) * 60 / (length3 * length3);
}

// core/joints/shaft-line.ts
var LINE = {
  run: total([
    plus(b.pinion.alongMm),
    minus(b.output.alongMm),
    minus(where(b.transfer.named, true, b.caseShaft.faceMm)),
    minus(setBack(plates)),
    plus(setBack(a.enginePads.alongMm)),
    minus(kept(b.crossmember.alongMm)),
    plus(kept(b.mountPad.alongMm))
  ]),
  fall: total([plus(b.pinion.belowMm), minus(b.output.belowMm), plus(b.chassisPads.crankAboveMm)]),
  across: total([plus(b.pinion.rightMm), minus(b.output.rightMm)])
};
var DEG = 180 / Math.PI;
var lineLength = ({ run, fall, across: across2 }) => Math.hypot(run, fall, across2);
var lineLengthWithin = (x, pm) => hypot(about(x.run, pm.run), about(x.fall, pm.fall), about(x.across, pm.across));
var lineAngle = ({ run, fall, across: across2 }, noseUpDeg = 0) => compoundAngle(Math.atan(fall / run) * DEG - noseUpDeg, Math.atan(across2 / run) * DEG);
function lineAngleWithin(x, pm, noseUp2 = [0, 0]) {
  const run = about(x.run, pm.run);
  const degrees3 = ([least3, most3]) => [Math.atan(least3) * DEG, Math.atan(most3) * DEG];
  const [sideLeast, sideMost] = absolute(subtract(degrees3(slope(about(x.fall, pm.fall), run)), noseUp2));
  const [planLeast, planMost] = absolute(degrees3(slope(about(x.across, pm.across), run)));
  return [compoundAngle(sideLeast, planLeast), sideMost >= 90 || planMost >= 90 ? 90 : compoundAngle(sideMost, planMost)];
}

// core/joints/propshaft.ts
var BALANCE = "A propshaft that lets go beats through the floor: welded and balanced by a shaft shop, never at home; loops where the rules ask.";
var shaft4 = (words3) => ({ code: BRIDGE, words: words3, pieces: ["propshaft"] });
var shorten = {
  code: WORK,
  words: "The propshaft is shortened",
  task: {
    id: "shorten-propshaft",
    words: "Have the propshaft shortened and balanced, after the mock-up is measured",
    hours: 1,
    skills: ["mechanic"],
    reversible: false,
    caution: BALANCE
  }
};
var mounts2 = {
  code: WORK,
  words: "Joints stand too steep for their speed",
  task: { id: "set-driveline-angles", words: "Shim the gearbox mount or the axle until both joint angles are small and equal", hours: 3, skills: ["mechanic"], reversible: true }
};
var { output: output2, propshaft: prop, pinion: pinion2 } = b;
var END = {
  id: "prop-end",
  label: "Front end fits the output",
  unit: "",
  otherwise: shaft4("Another front end: the yoke or flange of this gearbox on the propshaft")
};
var type4 = { type: aside(output2.type) };
var end = [
  {
    ...END,
    when: formula(type4, (x) => x.type === "slip"),
    holds: formula(
      { output: output2.type, prop: prop.type, outMajor: output2.majorMm, propMajor: prop.majorMm, outSplines: output2.splines, propSplines: prop.splines },
      (x, { tolerances: tolerances2 }) => {
        const over = x.propMajor - x.outMajor;
        return x.output === x.prop && x.outSplines === x.propSplines && over >= -SLACK && over <= tolerances2.splineMm + SLACK;
      }
    )
  },
  {
    ...END,
    when: formula(type4, (x) => x.type !== "slip"),
    holds: formula(
      { output: output2.type, prop: prop.type, outCircle: output2.circleMm, propCircle: prop.circleMm },
      (x, { tolerances: tolerances2 }) => x.output === x.prop && Math.abs(x.propCircle - x.outCircle) <= tolerances2.circleMm + SLACK
    )
  }
];
var spare = (sign) => measure({ slipMm: prop.slipMm, travelMm: pinion2.travelMm }, (x, { tolerances: tolerances2 }) => sign * Math.max(0, (x.slipMm - x.travelMm) / 2 - tolerances2.slipKeptMm), {
  slipMm: sign,
  travelMm: sign === 1 ? -1 : 1
});
var SPEED = { redlineRpm: a.engineOutput.redlineRpm, gears: b.ratios.gears };
function topSpeed({ redlineRpm, gears }, down6 = 0, faster = 0) {
  let top = Infinity;
  for (const gear3 of gears ?? []) if (gear3 > 0 && gear3 < top) top = gear3;
  return (redlineRpm + faster) / (top - down6);
}
var topSpeedWithin = (x, pm) => [
  topSpeed(x, -pm.gears, -pm.redlineRpm),
  topSpeed(x, pm.gears, pm.redlineRpm)
];
var ANGLE = { ...LINE, yokeDeg: prop.yokeDeg, ...SPEED };
var most2 = (x, angleSpeed) => Math.min(x.yokeDeg, angleSpeed / topSpeed(x));
var mostWithin = (x, pm, angleSpeed) => {
  const [slow, fast] = topSpeedWithin(x, pm);
  return [Math.min(x.yokeDeg - pm.yokeDeg, angleSpeed / fast), Math.min(x.yokeDeg + pm.yokeDeg, angleSpeed / slow)];
};
var noseUp = { noseUpDeg: pinion2.noseUpDeg };
var angles = [
  {
    id: "prop-front-angle",
    label: "Front joint angle left",
    unit: "\xB0",
    measure: bounded(
      ANGLE,
      (x, { tolerances: tolerances2 }) => most2(x, tolerances2.angleSpeed) - lineAngle(x),
      (x, pm, { tolerances: tolerances2 }) => {
        const [least3, greatest] = lineAngleWithin(x, pm);
        const [low, high] = mostWithin(x, pm, tolerances2.angleSpeed);
        return [low - greatest, high - least3];
      }
    ),
    window: [0, Infinity],
    below: mounts2
  },
  {
    id: "prop-rear-angle",
    label: "Rear joint angle left",
    unit: "\xB0",
    measure: bounded(
      { ...ANGLE, ...noseUp },
      (x, { tolerances: tolerances2 }) => most2(x, tolerances2.angleSpeed) - lineAngle(x, x.noseUpDeg),
      (x, pm, { tolerances: tolerances2 }) => {
        const [least3, greatest] = lineAngleWithin(x, pm, about(x.noseUpDeg, pm.noseUpDeg));
        const [low, high] = mostWithin(x, pm, tolerances2.angleSpeed);
        return [low - greatest, high - least3];
      }
    ),
    window: [0, Infinity],
    below: mounts2
  },
  {
    id: "prop-residual",
    label: "Angle the two joints leave over",
    unit: "\xB0",
    measure: bounded(
      { ...LINE, ...noseUp },
      (x) => residualAngle(lineAngle(x), lineAngle(x, x.noseUpDeg), true),
      (x, pm) => {
        const [frontLeast, frontMost] = lineAngleWithin(x, pm);
        const [rearLeast, rearMost] = lineAngleWithin(x, pm, about(x.noseUpDeg, pm.noseUpDeg));
        const apart3 = Math.max(0, frontLeast - rearMost, rearLeast - frontMost);
        return [
          apart3 === 0 ? 0 : Math.min(residualAngle(frontLeast, rearMost, true), residualAngle(rearLeast, frontMost, true)),
          Math.max(residualAngle(frontMost, rearLeast, true), residualAngle(rearMost, frontLeast, true))
        ];
      }
    ),
    window: [0, "residualDeg"],
    above: mounts2
  }
];
var WHIRL = { ...LINE, tubeMm: prop.tubeMm, wallMm: prop.wallMm, ...SPEED };
var critical = {
  id: "prop-critical",
  label: "Shaft speed left to its share of the critical speed",
  unit: "rpm",
  damage: true,
  measure: bounded(
    WHIRL,
    (x, { tolerances: tolerances2 }) => tolerances2.criticalShare * criticalSpeed(x.tubeMm, x.wallMm, lineLength(x)) - topSpeed(x),
    (x, pm, { tolerances: tolerances2 }) => {
      const [short, long] = lineLengthWithin(x, pm);
      const [slow, fast] = topSpeedWithin(x, pm);
      const speed = (sign, lengthMm) => tolerances2.criticalShare * criticalSpeed(x.tubeMm + sign * pm.tubeMm, x.wallMm - sign * pm.wallMm, lengthMm);
      return [speed(-1, long) - fast, speed(1, short) - slow];
    }
  ),
  window: [0, Infinity],
  below: shaft4("The shaft would whirl: a wider tube, or two pieces with a middle bearing")
};
var propshaft2 = {
  id: "propshaft",
  number: 16,
  short: "Propshaft",
  title: "Output to propshaft and axle",
  place: "vehicle",
  meets: "whole",
  strip: null,
  drawing: "shafts",
  decides: "Yoke or flange, length at ride height in either school of placement, slip over the axle\u2019s travel, both compound joint angles and what they leave over, critical speed at redline in top gear.",
  applies: formula({ isNamed: pinion2.named, isTransaxle: known2(b.ratios.finalDrive) }, (x) => x.isNamed && !x.isTransaxle),
  limits: [
    ...end,
    {
      id: "prop-length",
      label: "Propshaft wanted over the one at hand",
      unit: "mm",
      terms: [minus(prop.lengthMm)],
      measure: bounded(LINE, lineLength, lineLengthWithin),
      window: [spare(-1), spare(1)],
      below: shorten,
      above: shaft4("The propshaft is too short: a longer one, or a longer tube")
    },
    {
      id: "prop-slip",
      label: "Slip left over the axle\u2019s travel",
      unit: "mm",
      damage: true,
      terms: [plus(prop.slipMm), minus(pinion2.travelMm)],
      window: [measure({}, (_, { tolerances: tolerances2 }) => 2 * tolerances2.slipKeptMm, {}), Infinity],
      below: shaft4("The slip runs out over the travel: more slip. Run so, it bottoms into the gearbox or falls out")
    },
    ...angles,
    critical
  ],
  figures: [
    { label: "Propshaft wanted, joint to joint", unit: "mm", of: formula(LINE, lineLength) },
    { label: "Front joint, compound angle", unit: "\xB0", of: formula(LINE, (x) => lineAngle(x)) },
    { label: "Rear joint, compound angle", unit: "\xB0", of: formula({ ...LINE, ...noseUp }, (x) => lineAngle(x, x.noseUpDeg)) },
    {
      label: "Critical speed at that length",
      unit: "rpm",
      of: formula({ ...LINE, tubeMm: prop.tubeMm, wallMm: prop.wallMm }, (x) => criticalSpeed(x.tubeMm, x.wallMm, lineLength(x)))
    },
    { label: "Shaft speed at redline in top gear", unit: "rpm", of: formula(SPEED, (x) => topSpeed(x)) }
  ],
  cautions: [{ words: BALANCE }],
  cures: { propshaft: "elsewhere" },
  hardware: (_a, b2) => ({ bolts: boltSet({ words: "Propshaft flange", thread: b2.output.thread.v, count: 4, into: "steel", usual: "10.9" }), fits: [] })
};

// core/joints/release.ts
var cylinders = (words3) => ({ code: BRIDGE, words: words3, pieces: ["clutch-hydraulics"] });
var pedal = b.clutchPedal;
var gear = b.releaseGear;
var fingers = b.coverFingers;
var stroke = { travelMm: pedal.travelMm, pedalRatio: pedal.ratio, masterMm: pedal.masterMm, slaveMm: gear.slaveMm, innerMm: gear.innerMm };
var release = {
  id: "release",
  number: 7,
  short: "Release",
  title: "Pedal to release bearing",
  place: "vehicle",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Travel that arrives at the fingers against what frees the disc, the strokes of master and slave, and what is left for wear.",
  applies: formula({ type: aside(b.ratios.type), isNamed: pedal.named }, (x) => x.type !== "automatic" && x.isNamed),
  limits: [
    {
      id: "release-travel",
      label: "Bearing travel beyond its rest gap",
      unit: "mm",
      names: [gear.type],
      terms: [minus(b.releaseBearing.gapHighMm)],
      measure: measure(
        { ...stroke, forkRatio: gear.forkRatio },
        (x, { tolerances: tolerances2 }) => releaseTravel(x.travelMm, x.pedalRatio, pistonArea(x.masterMm) / pistonArea(x.slaveMm, x.innerMm), x.forkRatio, tolerances2.releaseLoss),
        { travelMm: 1, pedalRatio: -1, masterMm: 1, slaveMm: -1, innerMm: 1, forkRatio: -1 }
      ),
      window: [measure({ low: fingers.travelLowMm }, ({ low }) => low, { low: 1 }), measure({ high: fingers.travelHighMm }, ({ high }) => high, { high: 1 })],
      below: cylinders("The clutch does not free: a larger master, a smaller slave, or another fork"),
      above: {
        code: WORK,
        words: "The fingers would be pushed too far: a pedal stop holds them",
        task: { id: "pedal-stop", words: "Set a pedal stop at the travel the cover stands", hours: 0.5, skills: ["mechanic"], reversible: true }
      }
    },
    {
      id: "master-stroke",
      label: "Master stroke left",
      unit: "mm",
      terms: [plus(pedal.strokeMm)],
      measure: measure({ travelMm: pedal.travelMm, pedalRatio: pedal.ratio }, (x) => -x.travelMm / x.pedalRatio, { travelMm: -1, pedalRatio: 1 }),
      window: [0, Infinity],
      below: cylinders("The master bottoms before the pedal does")
    },
    {
      id: "slave-wear",
      label: "Slave stroke left for wear",
      unit: "mm",
      terms: [plus(gear.strokeMm)],
      measure: measure(stroke, (x) => -slaveStroke(x.travelMm / x.pedalRatio, x.masterMm, x.slaveMm, x.innerMm), {
        travelMm: -1,
        pedalRatio: 1,
        masterMm: -1,
        slaveMm: 1,
        innerMm: -1
      }),
      window: ["wearReserveMm", Infinity],
      below: cylinders("The slave runs out of stroke as the clutch wears")
    }
  ],
  cautions: [
    {
      words: "A slave round the shaft is reached only with the gearbox out: renew it while it is, and pressure-test before mating.",
      when: formula({ type: aside(gear.type) }, ({ type: type5 }) => type5 === "concentric slave")
    }
  ],
  cures: { "clutch-hydraulics": "elsewhere" }
};

// core/joints/rotation.ts
var backward = { code: CLASH, words: "As many reverse gears as it had forward ones: nothing in the gearbox cures it" };
var turnOver = {
  code: WORK,
  words: "The final drive must be turned over",
  task: { id: "turn-final-drive", words: "Turn the final drive over in its case, with oil way and breather checked", hours: 10, skills: ["mechanic"], reversible: true }
};
var pump3 = {
  code: BRIDGE,
  words: "The pump turns backward: it overheats with nothing leaking. The belt route or the pump of this route",
  pieces: ["water-pump", "belt"]
};
var fan = { code: BRIDGE, words: "The fan blows forward: a fan of the other sense, or an electric one", pieces: ["fan"] };
var alternator = { code: BRIDGE, words: "It turns backward: its one-way pulley must become a solid one, its fan of either sense", pieces: ["alternator-pulley"] };
var turns = { crank: a.engineOutput.turns, box: b.ratios.turns };
var turnsItsWay = (x) => x.box === "either" || x.box === x.crank;
var isTransaxle = known2(b.ratios.finalDrive);
var CRANK = { id: "crank-turns", label: "Crank turns the way the gearbox wants", unit: "" };
var crank3 = [
  // A transaxle's final drive can be turned over; whether it may is asked only where it must be.
  {
    ...CRANK,
    when: formula({ isTransaxle }, (x) => x.isTransaxle),
    holds: formula(turns, turnsItsWay),
    otherwise: [{ ask: b.ratios.mayTurnOver, becomes: turnOver }, { becomes: backward }]
  },
  { ...CRANK, when: formula({ isTransaxle }, (x) => !x.isTransaxle), holds: formula(turns, turnsItsWay), otherwise: backward }
];
var front = a.frontDrive;
var isDriven = formula({ isNamed: front.named }, ({ isNamed }) => isNamed);
var belted = (id3, label, wants3, driven, otherwise) => ({
  id: id3,
  label,
  unit: "",
  when: isDriven,
  holds: formula({ wants: wants3, driven }, (x) => {
    const turns3 = x.driven === "ribs" ? "with the crank" : x.driven === "back" ? "against the crank" : x.wants;
    return x.wants === turns3 || x.wants === "either" || x.wants === "electric";
  }),
  otherwise
});
var rotation = {
  id: "rotation",
  number: 12,
  short: "Rotation",
  title: "Rotation",
  place: "coupling",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Which way the crank turns against what the gearbox was made for; ribs turn a pulley with the crank, the back of a belt against it.",
  applies: always,
  limits: [
    ...crank3,
    belted("pump-turns", "Water pump turns its way", front.pumpWants, front.pumpBelt, pump3),
    belted("fan-turns", "Fan turns its way", front.fanWants, front.fanBelt, fan),
    belted("alternator-turns", "Alternator turns its way", front.alternatorWants, front.alternatorBelt, alternator)
  ],
  cures: { "water-pump": "elsewhere", belt: "elsewhere", fan: "elsewhere", "alternator-pulley": "elsewhere" }
};

// core/mechanics/tyre.ts
function tyreDiameter(marking) {
  const match = /^\s*(?:LT|P)?(\d{3})(?:\/(\d{2,3}))?\s*(?:Z?R|-|D|B)\s*(\d{2}(?:\.5)?)/i.exec(marking);
  if (!match) throw new RangeError(`"${marking}" is not a tyre marking. Type it as on the side wall, such as 205/65R15.`);
  const width = Number(match[1]);
  const aspect = match[2] ? Number(match[2]) : 80;
  return Number(match[3]) * 25.4 + 2 * width * (aspect / 100);
}
var revsPerKm = (diameterMm, rollingFactor = 1) => 1e6 / (Math.PI * diameterMm * rollingFactor);
var radii = /* @__PURE__ */ new Map();
var MOST_MARKINGS = 1e4;
function unloadedRadius(marking) {
  let radius = radii.get(marking);
  if (radius === void 0) {
    try {
      radius = tyreDiameter(marking) / 2;
    } catch {
      radius = Number.NaN;
    }
    if (radii.size >= MOST_MARKINGS) radii.clear();
    radii.set(marking, radius);
  }
  return radius;
}
var loadedRadius = (marking, rollingFactor) => marking === null ? Number.NaN : unloadedRadius(marking) * rollingFactor;

// core/joints/speedometer.ts
var gear2 = {
  code: WORK,
  words: "It reads wrong",
  task: { id: "speed-gear", words: "Another driven gear or ratio box, or set the pulses; prove it over a measured kilometre", hours: 1.5, skills: ["mechanic"], reversible: true }
};
var drive = b.speedDrive;
var reader = b.speedReader;
var kinds = { drive: aside(drive.type), reader: aside(reader.type) };
var given = { perTurn: drive.perTurn, ratio: either(b.ratios.finalDrive, b.axle.ratio), marking: b.tyre.marking };
var perKm = (x, rollingFactor) => revsPerKm(2 * loadedRadius(x.marking, rollingFactor)) * x.ratio * x.perTurn;
var speedometer = {
  id: "speedometer",
  number: 21,
  short: "Speed",
  title: "Speedometer drive",
  place: "vehicle",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Cable or pulses, and turns or pulses for a kilometre by loaded tyre, axle ratio and drive gears against what the speedometer wants.",
  applies: whereNamed(reader),
  limits: [
    {
      id: "speed-kind",
      label: "Speed is told the way it is read",
      unit: "",
      holds: formula({ drive: drive.type, reader: reader.type }, (x) => x.drive === x.reader),
      otherwise: { code: BRIDGE, words: "Told another way: a sender on the cable, a cable drive, or a converter", pieces: ["speed-converter"] }
    },
    {
      id: "speed-reads",
      label: "Speedometer errs by",
      unit: "",
      when: formula(kinds, (x) => x.drive === x.reader),
      measure: measure({ ...given, wanted: reader.perKm }, (x, { tolerances: tolerances2 }) => perKm(x, tolerances2.rollingFactor) / x.wanted - 1, { perTurn: 1, ratio: 1, wanted: -1 }),
      window: ["-speedShare", "speedShare"],
      below: gear2,
      above: gear2
    }
  ],
  figures: [
    {
      label: "Given for a kilometre",
      unit: "",
      of: formula(given, (x, { tolerances: tolerances2 }) => perKm(x, tolerances2.rollingFactor)),
      when: formula(kinds, (x) => x.drive === x.reader)
    }
  ],
  cures: { "speed-converter": "elsewhere" }
};

// core/mechanics/gear.ts
var moduleOf = (outerMm, teeth2) => outerMm / (teeth2 + 2);
var pitchCentres = (moduleMm, teeth2, otherTeeth) => moduleMm * (teeth2 + otherTeeth) / 2;
var other = (turns3) => turns3 === "clockwise" ? "counter-clockwise" : "clockwise";
var starterTurns = (crankFromGearbox, pinionMoves) => pinionMoves === "rearward" ? other(crankFromGearbox) : crankFromGearbox;

// core/joints/starter-ring.ts
var starter3 = (words3) => ({ code: BRIDGE, words: words3, pieces: ["starter"] });
var noRoom = { code: BRIDGE, words: "Something stands where the starter sits: another bell, or a starter of the other side", pieces: ["starter", "bellhousing"] };
var nowhere = { code: CLASH, words: "The vehicle has room for a starter on neither side" };
var motor2 = b.starter;
var ring2 = b.ring;
var turns2 = { crank: a.engineOutput.turns, way: motor2.way, turns: motor2.turns };
var wanted = (x) => starterTurns(x.crank, x.way);
var seats = [
  { seat: a.starterSeat, isOn: (mount) => mount === "block" },
  { seat: b.starterSeat, isOn: (mount) => mount !== "block" }
];
var mesh = seats.map(
  ({ seat: seat3, isOn }) => ({
    id: "starter-mesh",
    label: "Starter axis beyond pitch contact",
    unit: "mm",
    when: formula({ mount: aside(motor2.mount) }, ({ mount }) => isOn(mount)),
    names: [motor2.mount],
    terms: [plus(seat3.axisMm)],
    measure: measure({ moduleMm: motor2.moduleMm, ringTeeth: ring2.teeth, teeth: motor2.teeth }, (x) => -pitchCentres(x.moduleMm, x.ringTeeth, x.teeth), {
      moduleMm: -1,
      ringTeeth: -1,
      teeth: -1
    }),
    window: ["meshLowMm", "meshHighMm"],
    below: { code: BRIDGE, words: "Pinion and ring bind: another ring or starter", pieces: ["starter", "flywheel"] },
    above: { code: BRIDGE, words: "Pinion hardly reaches the ring: another ring or starter", pieces: ["starter", "flywheel"] }
  })
);
var side = seats.map(
  ({ seat: seat3, isOn }) => ({
    id: "starter-side",
    label: "Room on the side of the starter",
    unit: "",
    when: formula({ mount: aside(motor2.mount), isNamed: b.starterRoom.named }, ({ mount, isNamed }) => isNamed && isOn(mount)),
    names: [motor2.mount],
    holds: formula({ side: seat3.side, free: b.starterRoom.side }, (x) => x.free === "both" || x.free === x.side),
    otherwise: [{ when: formula({ free: b.starterRoom.side }, ({ free }) => free === "neither"), becomes: nowhere }, { becomes: noRoom }]
  })
);
var starterRing = {
  id: "starter-ring",
  number: 9,
  short: "Starter",
  title: "Starter to ring gear",
  place: "coupling",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Module of both, axis distance against pitch contact, which way it turns, and whether its side is free.",
  applies: always,
  limits: [
    {
      id: "starter-module",
      label: "Teeth are of one module",
      unit: "mm",
      terms: [minus(motor2.moduleMm)],
      measure: measure({ teeth: ring2.teeth, outerMm: ring2.outerMm }, (x) => moduleOf(x.outerMm, x.teeth), { outerMm: 1, teeth: -1 }),
      window: ["-moduleMm", "moduleMm"],
      below: starter3("Finer teeth on the ring"),
      above: starter3("Coarser teeth on the ring")
    },
    ...mesh,
    {
      id: "starter-turns",
      label: "Starter turns the crank its way",
      unit: "",
      holds: formula(turns2, (x) => x.turns === wanted(x)),
      otherwise: starter3(formula(turns2, (x) => `It must turn ${wanted(x)}, looking at the pinion`))
    },
    ...side
  ],
  cures: { starter: "instead", flywheel: "flange", bellhousing: "elsewhere" }
};

// core/joints/sump-clearance.ts
var otherSump = { code: BRIDGE, words: "The sump stands too near: another pan with its pickup", pieces: ["sump"] };
var baffle = {
  code: WORK,
  words: "Oil runs away from the pickup",
  task: {
    id: "baffle-sump",
    words: "Baffle the pan, or move the pickup to where the oil runs",
    hours: 4,
    skills: ["weld"],
    reversible: false,
    caution: "Clean and degas the pan before any weld."
  }
};
var lift = {
  code: WORK,
  words: "The pan does not come off in place",
  task: { id: "pan-in-place", words: "Make the pan come off in place, or note that the engine is lifted for it", hours: 2, skills: ["mechanic"], reversible: true }
};
var underEngine2 = {
  list: b.underEngine.zones,
  at: (zone) => zone.name ?? (zone.moving ? "what moves there" : "what stands there"),
  unknown: { fromMm: Number.NaN, toMm: Number.NaN, depthMm: Number.NaN, name: "under the engine" }
};
var PLACE = { pan: a.sump.zones, origin: total(chassisOrigin) };
function deepestOver(x, obstacle, along) {
  const from = x.origin + obstacle.fromMm - along;
  const to = x.origin + obstacle.toMm + along;
  let deepest = null;
  for (const zone of x.pan ?? []) if (zone.toMm > from && zone.fromMm < to && (deepest === null || zone.depthMm > deepest)) deepest = zone.depthMm;
  return deepest;
}
function roomOver(x, obstacle, pm, edges) {
  const deepest = deepestOver(x, obstacle, pm.origin) ?? deepestOver(x, obstacle, pm.origin + edges);
  return deepest === null ? Infinity : obstacle.depthMm - deepest;
}
function roomWithin(x, obstacle, pm, edges) {
  const along = pm.origin + edges;
  const [most3, least3] = [deepestOver(x, obstacle, along), deepestOver(x, obstacle, -along)];
  return [most3 === null ? Infinity : obstacle.depthMm - most3 - edges, least3 === null ? Infinity : obstacle.depthMm - least3 + edges];
}
var OBSTACLE = { ...PLACE, under: item(b.underEngine.zones) };
var isKnown = (x) => x.pan !== null && !Number.isNaN(x.crank + x.origin + x.under.depthMm);
var asides = (reads) => Object.fromEntries(Object.entries(reads).map(([name2, read]) => [name2, aside(read)]));
var STANDING = asides({ ...OBSTACLE, crank: b.chassisPads.crankAboveMm });
var passes = formula(STANDING, (x, _shop, pm) => isKnown(x) && roomOver(x, x.under, pm, pm.pan + pm.under) === Infinity);
var meets = formula(STANDING, (x, _shop, pm) => !isKnown(x) || roomOver(x, x.under, pm, pm.pan + pm.under) < Infinity);
var PASSES = { id: "sump-passes", label: "Nothing under the sump", unit: "", holds: formula({}, () => true) };
var clear = (isMoving) => ({
  id: "sump-clear",
  label: "Sump clear",
  unit: "mm",
  damage: true,
  each: underEngine2,
  when: formula(STANDING, (x, shop, pm) => x.under.moving === true === isMoving && meets.of(x, shop, pm)),
  terms: [plus(b.chassisPads.crankAboveMm)],
  measure: bounded(
    OBSTACLE,
    (x, _shop, pm) => roomOver(x, x.under, pm, pm.pan + pm.under),
    (x, pm) => roomWithin(x, x.under, pm, pm.pan + pm.under)
  ),
  window: [isMoving ? "sumpMovingMm" : "sumpStillMm", Infinity],
  below: otherSump
});
var ALL = asides({ ...PLACE, under: b.underEngine.zones, crank: b.chassisPads.crankAboveMm });
var least2 = (x, room) => (x.under ?? []).reduce((min, obstacle) => Math.min(min, room(obstacle)), Infinity) + x.crank;
var drops = {
  id: "sump-drops",
  label: "Room to take the pan off",
  unit: "mm",
  when: formula(ALL, (x, _shop, pm) => x.pan !== null && Number.isFinite(x.origin) && Number.isFinite(least2(x, (obstacle) => roomOver(x, obstacle, pm, pm.pan + pm.under)))),
  terms: [minus(a.sump.dropMm)],
  measure: bounded(
    ALL,
    (x, _shop, pm) => least2(x, (obstacle) => roomOver(x, obstacle, pm, pm.pan + pm.under)),
    (x, pm) => [
      least2(x, (obstacle) => roomWithin(x, obstacle, pm, pm.pan + pm.under)[0]) - pm.crank,
      least2(x, (obstacle) => roomWithin(x, obstacle, pm, pm.pan + pm.under)[1]) + pm.crank
    ]
  ),
  window: [0, Infinity],
  below: lift
};
var cover2 = (id3, label, tilt) => ({
  id: id3,
  label,
  unit: "mm",
  terms: [plus(a.sump.coverMm)],
  measure: bounded(
    { pickupMm: a.sump.pickupMm },
    (x, shop) => -Math.abs(x.pickupMm) * tilt(shop),
    (x, pm, shop) => {
      const [nearest2, farthest] = absolute(about(x.pickupMm, pm.pickupMm));
      return [-farthest * tilt(shop), -nearest2 * tilt(shop)];
    }
  ),
  window: ["oilCoverMm", Infinity],
  below: baffle
});
var SLOSH = cover2("oil-slosh", "Oil over the pickup, braking and cornering", ({ use, tolerances: tolerances2 }) => use === "track" ? tolerances2.sloshTrack : tolerances2.sloshRoad);
var baffled = { baffled: aside(a.sump.baffled) };
var sumpClearance = {
  id: "sump-clearance",
  number: 23,
  short: "Sump",
  title: "Sump to steering, crossmember and axle",
  place: "vehicle",
  meets: "whole",
  strip: "sump",
  drawing: null,
  decides: "Depth by zone against what passes under it, still and swept; whether it comes off in place; oil held, and oil over the pickup on grade, braking and cornering.",
  applies: whereNamed(b.underEngine),
  limits: [
    clear(false),
    clear(true),
    { ...PASSES, each: underEngine2, when: passes, names: [b.chassisPads.crankAboveMm, ...Object.values(OBSTACLE)] },
    { ...PASSES, when: formula({ under: aside(b.underEngine.zones) }, ({ under }) => under?.length === 0) },
    drops,
    {
      id: "sump-capacity",
      label: "Oil held over oil wanted",
      unit: "L",
      terms: [plus(a.sump.capacityL), minus(a.engineOutput.oilL)],
      window: [0, Infinity],
      below: { code: BRIDGE, words: "The pan holds too little oil", pieces: ["sump"] }
    },
    cover2("oil-grade", "Oil over the pickup on the steepest grade", ({ use, tolerances: tolerances2 }) => use === "trail" ? tolerances2.gradeTrail : tolerances2.gradeRoad),
    { ...SLOSH, when: formula(baffled, (x) => x.baffled !== true), names: [a.sump.baffled] },
    {
      id: SLOSH.id,
      label: SLOSH.label,
      unit: "",
      when: formula(baffled, (x) => x.baffled === true),
      names: [a.sump.baffled],
      holds: formula({}, () => true)
    }
  ],
  cautions: [{ words: "Steering and brakes must be clear through full travel and lock; no cut in a crossmember or rail without an engineer." }],
  cures: { sump: "instead" }
};

// core/joints/switches.ts
var has = b.switches;
var wants2 = b.switchWants;
var switches2 = {
  id: "switches",
  number: 22,
  short: "Switches",
  title: "Reverse and neutral switches",
  place: "vehicle",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Reverse lamp switch where the vehicle wants one; a start allowed only in neutral or park, or with the clutch down.",
  applies: whereNamed(wants2),
  limits: [
    {
      id: "reverse-switch",
      label: "Reverse lamp has its switch",
      unit: "",
      holds: formula({ wants: wants2.reverse, has: has.reverse }, (x) => x.wants === false || x.has === true),
      otherwise: {
        code: WORK,
        words: "The gearbox has no reverse lamp switch",
        task: { id: "reverse-switch", words: "Fit a reverse lamp switch at the gearbox or its lever, with its wire", hours: 1.5, skills: ["mechanic"], reversible: true }
      }
    },
    {
      id: "start-interlock",
      label: "Does not start in gear",
      unit: "",
      // A clutch switch protects a manual only; an automatic needs its own.
      holds: formula(
        { wants: wants2.interlock, has: has.interlock, type: b.ratios.type },
        (x) => x.type === "manual" && x.wants === "clutch switch" || x.has === "neutral or park switch"
      ),
      otherwise: {
        code: WORK,
        words: "Nothing stops a start in gear",
        task: {
          id: "start-interlock",
          words: "Wire the starter through a relay that closes only in neutral, park, or with the clutch down",
          hours: 2,
          skills: ["mechanic"],
          reversible: true,
          caution: "A start in gear drives over whoever stands there: never bridge the interlock, wheels chocked for every first try."
        }
      }
    }
  ],
  cures: {}
};

// core/joints/take-off.ts
var unit = (words3) => ({ code: BRIDGE, words: words3, pieces: ["take-off"] });
var wanted2 = b.takeOff;
var opening2 = b.takeOffOpening;
var takeOff2 = {
  id: "take-off",
  number: 15,
  short: "Take-off",
  title: "Power take-off opening",
  place: "vehicle",
  meets: "whole",
  strip: null,
  drawing: null,
  decides: "Opening family, side, module and rotation of the gear, room beside it.",
  applies: formula({ isThere: wanted2.present }, ({ isThere: isThere2 }) => isThere2),
  limits: [
    {
      id: "take-off-opening",
      label: "Unit is made for the opening",
      unit: "",
      holds: formula({ opening: opening2.family, unit: wanted2.family }, (x) => x.opening === x.unit),
      otherwise: unit("The unit does not fit this opening: one of its family, or a plate between")
    },
    {
      id: "take-off-side",
      label: "Opening is on the side it must be",
      unit: "",
      holds: formula({ opening: opening2.side, unit: wanted2.side }, (x) => x.opening === x.unit),
      otherwise: { code: CLASH, words: "The gearbox has no opening on that side" }
    },
    {
      id: "take-off-module",
      label: "Gears are of one module",
      unit: "mm",
      terms: [plus(opening2.moduleMm), minus(wanted2.moduleMm)],
      window: ["-moduleMm", "moduleMm"],
      below: unit("Gears do not mesh"),
      above: unit("Gears do not mesh")
    },
    {
      id: "take-off-turns",
      label: "Gear turns as the unit wants",
      unit: "",
      holds: formula({ opening: opening2.turns, unit: wanted2.turns }, (x) => x.opening === x.unit),
      otherwise: unit("It would turn backward: a unit with one more gear")
    },
    {
      id: "take-off-room",
      label: "Room beside the unit",
      unit: "mm",
      terms: [plus(wanted2.roomMm), minus(wanted2.reachMm)],
      window: ["takeOffClearMm", Infinity],
      below: unit("Something stands where the unit sits: a shorter or angled one")
    }
  ],
  cautions: [{ words: "A turning take-off shaft takes a sleeve and an arm with it: guard it, engine off and key out before a hand goes near." }],
  cures: { "take-off": "elsewhere" }
};

// core/joints/torque.ts
var GRAVITY = 9.80665;
var BEHIND_BOX = ["output", "transfer output", "axle"];
var BEHIND_CASE = ["transfer output", "axle"];
var BOXED = ["input shaft", "turbine", ...BEHIND_BOX];
var lowRange = where(b.transfer.named, true, b.transfer.low, 1);
var ratioTo = (reference) => computed(
  {
    stall: whereSaid(reference, BOXED, whereSaid(b.ratios.type, ["automatic"], b.ratios.stall, 1), 1),
    gears: whereSaid(reference, BEHIND_BOX, b.ratios.gears, [1]),
    low: whereSaid(reference, BEHIND_CASE, lowRange, 1),
    final: whereSaid(reference, ["axle"], either(b.ratios.finalDrive, b.axle.ratio), 1)
  },
  ({ stall, gears, low, final }) => stall * lowest(gears) * low * final,
  { stall: 1, gears: 1, low: 1, final: 1 }
);
var gripAt = (reference) => computed(
  {
    marking: whereSaid(reference, BEHIND_BOX, orElse(b.tyre.marking, null), null),
    ladenKg: whereSaid(reference, BEHIND_BOX, orElse(b.axle.ladenKg, Number.NaN), Number.NaN),
    axleRatio: whereSaid(reference, ["output", "transfer output"], orElse(b.axle.ratio, Number.NaN), 1),
    low: whereSaid(reference, ["output"], where(b.transfer.named, true, orElse(b.transfer.low, Number.NaN), 1), 1)
  },
  ({ marking, ladenKg, axleRatio, low }, { tolerances: tolerances2 }) => {
    const grip = tolerances2.friction * ladenKg * GRAVITY * (loadedRadius(marking, tolerances2.rollingFactor) / 1e3) / axleRatio / low;
    return Number.isNaN(grip) ? Infinity : grip;
  },
  { ladenKg: 1, axleRatio: -1, low: -1 }
);
function lowest(gears) {
  if (gears === null) return Number.NaN;
  let most3 = 0;
  for (const gear3 of gears) if (gear3 > most3) most3 = gear3;
  return most3;
}
var factorOf = (basis, shop) => basis === "nominal" ? 1 : factorOfUse(shop);
function factorOfUse({ use, tolerances: t2 }) {
  if (use === "road" || use === "delivery") return t2.useRoad;
  if (use === "towing") return t2.useTowing;
  if (use === "trail" || use === "track") return t2.useTrail;
  return t2.useUnstated;
}
var demandOf = (x, shop) => Math.min(drawnOf(x, shop), x.grip);
var drawnOf = ({ peakNm, basis, ratio }, shop) => peakNm * ratio * factorOf(basis, shop);
var onRatings = { ratings: (slot) => !slot.startsWith("speed"), orMissing: true };
var READS = { peakNm: a.engineOutput.peakTorqueNm, basis: aside(rating.basis), ratio: ratioTo(rating.reference), grip: gripAt(rating.reference) };
var SPEED2 = {
  id: "speed",
  label: "Speed margin",
  unit: "rpm",
  damage: true,
  terms: [plus(rating.speedRpm), minus(a.engineOutput.redlineRpm)],
  window: [0, Infinity],
  below: { code: CLASH, words: "Redline passes the speed rating: a lower limiter, or another part" }
};
var torque = {
  id: "torque",
  number: 10,
  short: "Torque",
  title: "Torque",
  place: "coupling",
  meets: "whole",
  strip: "gearbox",
  drawing: "torque line",
  decides: "Engine peak \xD7 ratios \xD7 use against each rating by its reference, capped by tyre grip behind the gearbox; redline against speed ratings.",
  applies: always,
  limits: [
    {
      id: "torque",
      label: "Torque margin at the gearbox input",
      unit: "N\xB7m",
      damage: true,
      each: onRatings,
      names: [rating.reference, whereSaid(rating.reference, BOXED, b.ratios.type)],
      measure: measure(
        { ratingNm: rating.torqueNm, ...READS },
        (x, shop) => (x.ratingNm - demandOf(x, shop)) / x.ratio,
        // Nearer the engine a larger ratio leaves less; where tyres cap, what they hold is less by it too.
        { ratingNm: 1, peakNm: -1, ratio: -1, grip: -1 }
      ),
      window: [0, Infinity],
      below: { code: CLASH, words: "Rating passed: less engine, or a stronger part" }
    },
    { ...SPEED2, each: { ratings: (slot) => slot.startsWith("speed"), orMissing: false } },
    {
      ...SPEED2,
      each: { ratings: (slot) => !slot.startsWith("speed"), orMissing: false },
      when: formula({ stated: aside(rating.speedRpm) }, ({ stated }) => !Number.isNaN(stated))
    }
  ],
  figures: [
    { label: "Demand there", unit: "N\xB7m", each: onRatings, of: formula(READS, demandOf) },
    {
      label: "Capped by tyre grip at",
      unit: "N\xB7m",
      each: onRatings,
      of: formula(READS, ({ grip }) => grip),
      when: formula(READS, (x, shop) => x.grip < drawnOf(x, shop))
    }
  ],
  cures: {}
};

// core/joints/transfer-case.ts
var adapter = (words3) => ({ code: BRIDGE, words: words3, pieces: ["case-adapter"] });
var shaft5 = (words3) => ({ code: BRIDGE, words: words3, pieces: ["coupling-shaft", "case-adapter"] });
var linkage = {
  code: WORK,
  words: "It is shifted another way",
  task: { id: "case-shift", words: "Make the shift of the transfer case: lever, cable or switch, with its lamp", hours: 4, skills: ["mechanic"], reversible: true }
};
var clocked = {
  code: WORK,
  words: "The case is turned: front shaft, lever and mount move with it",
  task: { id: "clocked-case", words: "Check oil level, front shaft angle, lever and mount with the case as turned", hours: 2, skills: ["mechanic"], reversible: true }
};
var PATTERNS3 = { holesA: a.face.holes, holesB: b.face.holes, dowelsA: aside(a.face.dowels), dowelsB: aside(b.face.dowels) };
var matchOf4 = (x, { tolerances: tolerances2 }) => matchHoles(x.holesA, x.dowelsA, x.holesB, x.dowelsB, tolerances2.axisOffsetFitsMm);
var allMeet2 = (x, shop) => {
  const match = matchOf4(x, shop);
  return match !== null && match.missingA.length === 0 && match.missingB.length === 0;
};
var families2 = { familyA: aside(a.face.family), familyB: aside(b.face.family) };
var isOneFamily2 = (x) => x.familyA !== null && x.familyA === x.familyB;
var patternsAside = { ...families2, holesA: aside(a.face.holes), holesB: aside(b.face.holes), dowelsA: aside(a.face.dowels), dowelsB: aside(b.face.dowels) };
var FACE = { id: "case-face", label: "Case bolts meet", unit: "" };
var face2 = [
  { ...FACE, when: formula(families2, isOneFamily2), names: [a.face.family, b.face.family], holds: formula({}, () => true) },
  {
    ...FACE,
    when: formula(families2, (x) => !isOneFamily2(x)),
    holds: formula(PATTERNS3, allMeet2),
    otherwise: adapter("The bolts of the case do not meet: an adapter, and its length moves the case back")
  },
  {
    id: "case-clock",
    label: "Case turned",
    unit: "\xB0",
    when: formula(patternsAside, (x, shop) => !isOneFamily2(x) && allMeet2(x, shop)),
    holds: formula(PATTERNS3, (x, shop) => Math.abs(matchOf4(x, shop).turnDeg) <= shop.tolerances.turnDeg),
    otherwise: [{ ask: b.face.mayTurn, becomes: clocked }, { becomes: adapter("The bolts meet only with the case turned, and it may not turn") }]
  }
];
var out = b.caseShaft;
var input = b.transferInput;
var splines3 = { out: out.splines, input: input.splines };
var coupling = [
  {
    id: "case-splines",
    label: "Splines are as many",
    unit: "",
    holds: formula(splines3, (x) => x.out === x.input),
    otherwise: shaft5(formula(splines3, (x) => `${x.out} splines into ${x.input}`))
  },
  {
    id: "case-bore",
    label: "Case over the shaft, outer \xD8",
    unit: "mm",
    terms: [plus(input.majorMm), minus(out.majorMm)],
    window: [0, "splineMm"],
    below: shaft5("The shaft does not go in"),
    above: shaft5("The shaft is loose in the case")
  },
  {
    id: "case-engaged",
    label: "Shaft held in the case",
    unit: "mm",
    damage: true,
    // The shaft stands past the rear face by where its end is, less that face.
    measure: measure({ endMm: out.endMm, faceMm: out.faceMm, depthMm: input.depthMm }, (x) => Math.min(x.endMm - x.faceMm, x.depthMm), { endMm: 1, faceMm: -1, depthMm: 1 }),
    window: ["couplingMm", Infinity],
    below: shaft5("Too little shaft is held: a longer one, or a thinner adapter")
  },
  {
    id: "case-end",
    label: "Shaft end clear inside",
    unit: "mm",
    damage: true,
    terms: [plus(input.mostMm), minus(out.endMm), plus(out.faceMm)],
    window: ["shaftEndMm", Infinity],
    below: shaft5("The shaft bottoms in the case: a shorter one, or a thicker adapter")
  }
];
var { transfer: transfer2, frontAxle: frontAxle2 } = b;
var isFourWheel = formula({ isNamed: frontAxle2.named }, ({ isNamed }) => isNamed);
var front2 = [
  {
    id: "front-side",
    label: "Front output on the side of the front axle",
    unit: "",
    when: isFourWheel,
    holds: formula({ out: transfer2.frontSide, axle: frontAxle2.side }, (x) => x.out === x.axle),
    otherwise: { code: CLASH, words: "Front output and front axle stand on either side: no shaft crosses over. Another case, or another axle" }
  },
  {
    id: "front-turns",
    label: "Front output turns as the axle wants",
    unit: "",
    when: isFourWheel,
    holds: formula({ out: transfer2.frontTurns, axle: frontAxle2.turns }, (x) => x.out === x.axle),
    otherwise: { code: CLASH, words: "The front axle would drive backward: another case, or an axle of the other sense" }
  },
  {
    id: "front-ratio",
    label: "Front and rear wheels at one speed",
    unit: "",
    when: isFourWheel,
    measure: measure({ out: transfer2.frontRatio, front: frontAxle2.ratio, rear: b.axle.ratio }, (x) => x.out * x.rear / x.front - 1, { out: 1, rear: 1, front: -1 }),
    window: ["-axleRatio", "axleRatio"],
    below: { code: BRIDGE, words: "Front wheels turn slower: axles of one ratio", pieces: ["axle-gears"] },
    above: { code: BRIDGE, words: "Front wheels turn faster: axles of one ratio", pieces: ["axle-gears"] }
  },
  {
    id: "case-shift",
    label: "Shifted as the vehicle does",
    unit: "",
    when: isFourWheel,
    holds: formula({ out: transfer2.shift, axle: frontAxle2.shift }, (x) => x.out === x.axle),
    otherwise: linkage
  }
];
var transferCase = {
  id: "transfer-case",
  number: 13,
  short: "Transfer",
  title: "Gearbox to transfer case",
  place: "vehicle",
  meets: "case",
  strip: null,
  drawing: null,
  decides: "Bolt face and clocking, splines, how much shaft is held and whether it bottoms; front output side and rotation against the front axle; front and rear ratios equal; how it is shifted.",
  applies: whereNamed(transfer2),
  limits: [...face2, ...coupling, ...front2],
  figures: [
    {
      label: "Turn of the case",
      unit: "\xB0",
      of: formula(PATTERNS3, (x, shop) => matchOf4(x, shop).turnDeg),
      when: formula(patternsAside, (x, shop) => !isOneFamily2(x) && allMeet2(x, shop))
    }
  ],
  cures: { "case-adapter": "elsewhere", "coupling-shaft": "elsewhere", "axle-gears": "elsewhere" },
  hardware: (a2) => ({
    bolts: boltSet({
      words: "Case to gearbox",
      thread: a2.face.holes.v?.find((hole) => hole.thread)?.thread ?? null,
      count: a2.face.holes.v?.length ?? Number.NaN,
      into: "aluminium",
      usual: "8.8"
    }),
    fits: []
  })
};

// core/joints/index.ts
var JOINTS = [
  blockFace,
  crankFlange2,
  depth,
  pilot,
  clutchDisc,
  clutchCover,
  release,
  converter2,
  starterRing,
  torque,
  crankSensor2,
  rotation,
  transferCase,
  loadSignal2,
  takeOff2,
  propshaft2,
  driveShafts2,
  gearboxMount,
  engineMounts,
  lever2,
  speedometer,
  switches2,
  sumpClearance
];
function jointNamed(name2) {
  return JOINTS.find((joint) => joint.id === name2 || joint.number === Number(name2)) ?? null;
}

// core/joints/tolerances.ts
var TOLERANCES = {
  axisOffsetFitsMm: { value: 0.125, words: "Crank to shaft axis, good", unit: "mm" },
  axisOffsetWorkMm: { value: 0.5, words: "Crank to shaft axis, offset dowels reach", unit: "mm" },
  turnDeg: { value: 0.5, words: "Case turn that counts as none", unit: "\xB0" },
  boltShare: { value: 0.6, words: "Least share of bell bolts that meet", unit: "" },
  dowelPlayMm: { value: 0.125, words: "Dowel play that still locates", unit: "mm" },
  circleMm: { value: 0.1, words: "Bolt circles may differ by", unit: "mm" },
  registerMaxMm: { value: 0.05, words: "Greatest register clearance", unit: "mm" },
  headEdgeMm: { value: 0.5, words: "Metal beyond the bolt head", unit: "mm" },
  boltEndMm: { value: 1, words: "Bolt end clear of the bottom", unit: "mm" },
  tipClearMm: { value: 3, words: "Shaft tip clear of the pilot bottom", unit: "mm" },
  noseEngageMm: { value: 8, words: "Nose engagement wanted at most", unit: "mm" },
  shoulderClearMm: { value: 0.5, words: "Shaft shoulder clear of the pilot", unit: "mm" },
  hubTravelMm: { value: 2, words: "Disc hub travel either way", unit: "mm" },
  starterGapLowMm: { value: 1.5, words: "Least starter rest gap", unit: "mm" },
  starterGapHighMm: { value: 3, words: "Greatest starter rest gap", unit: "mm" },
  starterOverlap: { value: 2 / 3, words: "Least share of the ring in mesh", unit: "" },
  pullUpLowMm: { value: 1.5, words: "Least converter pull-up", unit: "mm" },
  pullUpHighMm: { value: 5, words: "Greatest converter pull-up", unit: "mm" },
  bearingClearMm: { value: 0.03, words: "Nose in a bearing, greatest clearance", unit: "mm" },
  bushClearLowMm: { value: 0.03, words: "Nose in a bush, least clearance", unit: "mm" },
  bushClearHighMm: { value: 0.08, words: "Nose in a bush, greatest clearance", unit: "mm" },
  pressLowMm: { value: 1e-3, words: "Pilot piece in its bore, least interference", unit: "mm" },
  pressHighMm: { value: 0.035, words: "Pilot piece in its bore, greatest interference", unit: "mm" },
  splineMm: { value: 0.35, words: "Hub over shaft, greatest clearance on the outer \xD8", unit: "mm" },
  carrierClearMm: { value: 1, words: "Spring carrier clear of bolt heads", unit: "mm" },
  padSpreadMm: { value: 0.5, words: "Converter pads may differ by", unit: "mm" },
  padReach: { value: 0.8, words: "Converter bolt in its pad, least, of its \xD8", unit: "" },
  noseClearMm: { value: 0.15, words: "Converter nose in the crank, greatest clearance", unit: "mm" },
  noseInMm: { value: 4, words: "Converter nose held in the crank, least", unit: "mm" },
  noseBottomMm: { value: 1, words: "Converter nose clear of the bottom", unit: "mm" },
  lugsMm: { value: 6, words: "Pump lugs engaged after pull-up, least", unit: "mm" },
  pumpBushMm: { value: 0.12, words: "Hub in the pump bush, greatest clearance", unit: "mm" },
  stallLow: { value: 0.5, words: "Stall over torque peak, least", unit: "" },
  stallHigh: { value: 1.1, words: "Stall over torque peak, greatest", unit: "" },
  boreTirGoodMm: { value: 0.13, words: "Bell bore runout, good", unit: "mm" },
  boreTirMostMm: { value: 0.25, words: "Bell bore runout, acceptable", unit: "mm" },
  faceTirMm: { value: 0.15, words: "Bell face runout, greatest", unit: "mm" },
  floatChangeMm: { value: 0.02, words: "End float may change at mating by", unit: "mm" },
  turnChangeNm: { value: 3, words: "Turning torque may change at mating by", unit: "N\xB7m" },
  coverSeatMm: { value: 0.3, words: "Cover seat may stand off by", unit: "mm" },
  coverHoleMm: { value: 0.6, words: "Cover holes over their bolts, greatest", unit: "mm" },
  clutchReserve: { value: 1.2, words: "Clutch capacity over engine peak, least", unit: "" },
  releaseLoss: { value: 0.85, words: "Share of pedal travel that arrives", unit: "" },
  wearReserveMm: { value: 3, words: "Slave stroke kept for wear", unit: "mm" },
  moduleMm: { value: 0.06, words: "Modules of two gears may differ by", unit: "mm" },
  meshLowMm: { value: 0.1, words: "Starter axis beyond pitch contact, least", unit: "mm" },
  meshHighMm: { value: 1, words: "Starter axis beyond pitch contact, greatest", unit: "mm" },
  couplingMm: { value: 25, words: "Gearbox shaft held in the transfer case, least", unit: "mm" },
  shaftEndMm: { value: 2, words: "Shaft end clear of what is behind it", unit: "mm" },
  axleRatio: { value: 0.01, words: "Front and rear axle speeds may differ by", unit: "" },
  cablePullMm: { value: 2, words: "Load cable pull may differ by", unit: "mm" },
  takeOffClearMm: { value: 15, words: "Power take-off clear of what is beside it", unit: "mm" },
  slipKeptMm: { value: 15, words: "Slip kept at either end of its travel", unit: "mm" },
  angleSpeed: { value: 16e3, words: "Joint angle times shaft speed, greatest", unit: "\xB0\xB7rpm" },
  residualDeg: { value: 3, words: "Angle two joints leave over, greatest", unit: "\xB0" },
  criticalShare: { value: 0.7, words: "Shaft speed over its critical speed, greatest", unit: "" },
  leverMm: { value: 15, words: "Lever clear of the edges of its opening", unit: "mm" },
  speedShare: { value: 0.03, words: "Speedometer may err by", unit: "" },
  mountMm: { value: 3, words: "Mounts meet within", unit: "mm" },
  crankHeightMm: { value: 5, words: "Crank axis may stand off its height by", unit: "mm" },
  leanDeg: { value: 3, words: "Mounts may lean apart by", unit: "\xB0" },
  sumpStillMm: { value: 20, words: "Sump clear of what stands still", unit: "mm" },
  sumpMovingMm: { value: 25, words: "Sump clear of what moves", unit: "mm" },
  oilCoverMm: { value: 5, words: "Oil left over the pickup", unit: "mm" },
  gradeRoad: { value: 0.3, words: "Steepest grade, road", unit: "" },
  gradeTrail: { value: 0.6, words: "Steepest grade, trail", unit: "" },
  sloshRoad: { value: 0.8, words: "Braking and cornering over g, road", unit: "" },
  sloshTrack: { value: 1.1, words: "Braking and cornering over g, track", unit: "" },
  useRoad: { value: 1.5, words: "Torque factor, delivery or road", unit: "" },
  useTowing: { value: 2, words: "Torque factor, towing", unit: "" },
  useTrail: { value: 2.5, words: "Torque factor, trail or track", unit: "" },
  useUnstated: { value: 2, words: "Torque factor, use not stated", unit: "" },
  friction: { value: 1, words: "Tyre grip, \xB5", unit: "" },
  rollingFactor: { value: 0.97, words: "Loaded rolling circumference", unit: "" }
};
function tolerances(edits = {}) {
  const named = Object.entries(TOLERANCES).map(([name2, { value }]) => [name2, edits[name2] ?? value]);
  return Object.freeze(Object.fromEntries(named));
}

// core/needs/rules/must-still-work.ts
var KEPT_ASSEMBLIES = [
  "air-conditioning",
  "steering-assist",
  "brake-assist",
  "cruise",
  "gauges",
  "four-wheel-drive",
  "power-take-off",
  "speedometer",
  "range-indicator",
  "emissions-equipment",
  "heater"
];
var WITH = {
  "air-conditioning": [
    ["compressor-mount", "Compressor mount", "The compressor must sit in the new belt\u2019s plane"],
    ["refrigerant-hose", "Refrigerant hoses", "Hose ends follow the compressor"],
    ["refrigerant-service", "Refrigerant recovered and filled", "Before the old engine comes out, and after"]
  ],
  "steering-assist": [["assist-hose", "Steering assist hose", "Pump and rack ends differ"]],
  "four-wheel-drive": [["front-propshaft", "Front propshaft", "Its length and angle follow the transfer case; measured with the train mocked up"]],
  "power-take-off": [["take-off", "Power take-off unit", "Made for the opening of this gearbox"]],
  cruise: [["cruise-actuator", "Cruise actuator and its signals", "It pulls this engine\u2019s throttle and reads this gearbox\u2019s speed"]]
};
var CAUTIONS = {
  "air-conditioning": "Refrigerant is recovered by a licensed technician.",
  "steering-assist": "Steering must be clear through full travel and lock.",
  "emissions-equipment": "What must be carried over is set by local law."
};
var mustStillWork = {
  id: "must-still-work",
  reads: KEPT_ASSEMBLIES.map((kind) => `keep.${kind}`),
  adds: [...KEPT_ASSEMBLIES, ...Object.values(WITH).flatMap((all) => all.map(([kind]) => kind))],
  run: ({ facts }) => KEPT_ASSEMBLIES.filter((kind) => facts.is(`keep.${kind}`) === true).flatMap((kind) => [
    {
      kind,
      place: kind === "speedometer" ? "driveline" : "kept",
      words: kindWords(kind),
      keep: true,
      level: "confirm",
      why: [{ rule: "must-still-work", words: "The brief says it must still work: keep the recipient's and confirm it reaches the new train" }],
      cautions: CAUTIONS[kind] ? [CAUTIONS[kind]] : []
    },
    ...(WITH[kind] ?? []).map(([with_, words3, why]) => ({
      kind: with_,
      place: "kept",
      words: words3,
      level: "confirm",
      why: [{ rule: "must-still-work", words: `${kindWords(kind)} must still work: ${why}` }],
      cautions: CAUTIONS[kind] ? [CAUTIONS[kind]] : []
    }))
  ])
};

// core/pairing/coupling.ts
var COUPLING_KINDS = ["separator", "flywheel", "flexplate", "cover", "disc", "release-bearing", "starter", "pilot", "converter"];
var COUPLING_SETS = {
  manual: ["separator", "flywheel", "cover", "disc", "release-bearing", "pilot", "starter"],
  automatic: ["separator", "flexplate", "converter", "starter"]
};
var isCouplingKind = (kind) => COUPLING_KINDS.includes(kind);
var FROM_ENGINE = /* @__PURE__ */ new Set(["separator", "flywheel", "flexplate", "pilot"]);
function couplingSet(transmission, ofEngine, ofTransmission, chosen = []) {
  const automatic = portOf(transmission, "ratios").type.v === "automatic";
  const wanted3 = automatic ? COUPLING_SETS.automatic : COUPLING_SETS.manual;
  const notes = [];
  const parts = [];
  for (const kind of wanted3) {
    const picked = firstOf(chosen, kind);
    const engines = firstOf(ofEngine, kind);
    const transmissions = firstOf(ofTransmission, kind);
    if (kind === "starter" && !picked && engines && transmissions) notes.push(`Two starters are known: ${transmissions.name} of the bell is used, not ${engines.name}.`);
    const part = picked ?? (FROM_ENGINE.has(kind) ? engines ?? transmissions : transmissions ?? engines);
    if (part) parts.push(part);
    else if (kind !== "separator") notes.push(`No ${kind.replace("-", " ")} is named: its measurements count as not known.`);
  }
  return { parts, notes };
}
function firstOf(parts, kind) {
  for (const part of parts) if (part.kind === kind) return part;
  return void 0;
}

// core/pairing/stoppers.ts
var STOPPERS = [
  {
    id: "pilot-bore",
    question: "Is the pilot bore in the crank drilled and finished?",
    no: "A crank made for an automatic often is not: bore it, or carry the nose in the flywheel.",
    find: "Look into the crank end with a torch. An automatic: yes, it does not matter.",
    joint: "pilot"
  },
  {
    id: "crank-sensor",
    question: "Does every sensor of the engine find its place and its teeth with this bell and wheel?",
    no: "Without its crank sensor the engine does not run: keep its wheel, or move the sensor.",
    find: "Follow the loom to the bell; count the teeth on the wheel.",
    joint: "crank-sensor"
  },
  {
    id: "sump-end",
    question: "Is the deep end of the pan clear of the crossmember and steering?",
    no: "Another pan of the family, with its pickup and dipstick, or a crossmember moved.",
    find: "Front, middle or rear: look at the drain plug, then under the vehicle.",
    joint: "sump-clearance"
  },
  {
    id: "front-output",
    question: "Is the front output on the side of the front axle? (Without four-wheel drive: yes)",
    no: "Another transfer case or another axle: no shaft crosses over.",
    find: "Look from behind: which side of the case the front flange stands.",
    joint: "transfer-case"
  },
  {
    id: "rotation",
    question: "Does the engine turn the way the gearbox wants?",
    no: "Reverse gears would be forward gears: nothing cheap cures it.",
    find: "Maker, or the curve of the fan and the side of the starter.",
    joint: "rotation"
  },
  {
    id: "starter-side",
    question: "Is the side on which the starter sits free?",
    no: "Steering box, pipe or frame in its way: another bell, or a starter of the other side.",
    find: "Put the engine in mind into the bay: starter side, then look down there.",
    joint: "starter-ring"
  },
  {
    id: "ecu-set",
    question: "Do engine computer, key, pedal and cluster come as one set? (Without electronics: yes)",
    no: "The immobiliser will not let it run: the flash service, or the missing pieces of the same vehicle.",
    find: "Read the number on each; ask the seller for key and pedal now.",
    joint: null
  },
  {
    id: "load-signal",
    question: "Has the automatic a load signal from this engine? (Manual: yes)",
    no: "Without it the shifts burn the clutches: cable bracket, vacuum, or a stand-alone controller.",
    find: "Cable, vacuum pipe or plug on the gearbox; its counterpart on the engine.",
    joint: "load-signal"
  },
  {
    id: "belt-sense",
    question: "Do water pump, fan and belt turn the way each was made for?",
    no: "A pump that turns backward overheats with nothing leaking.",
    find: "Follow the belt: back or rib on each pulley; the cast arrow on the pump.",
    joint: "rotation"
  },
  {
    id: "papers",
    question: "Are the papers and the engine number in hand?",
    no: "No papers, no certificate: not bought before they are.",
    find: "Read the number on the block against the paper, before money changes hands.",
    joint: null
  },
  {
    id: "room",
    question: "Are brake booster, steering column and towers clear of the heads?",
    no: "A smaller booster or another assist, and all that follows from it.",
    find: "Width at the heads against the bay, with tape.",
    joint: null
  },
  {
    id: "law",
    question: "Does the local authority allow this engine in this vehicle?",
    no: "Ask what would be allowed before anything is bought: power, age, emissions.",
    find: "Ask the inspecting office; note who said it, and when.",
    joint: null
  }
];
var isStopper = (id3) => STOPPERS.some((stopper) => stopper.id === id3);

// contract/plan.ts
import { z as z7 } from "zod";

// core/needs/facts.ts
var FACT_KEYS = {
  "gearbox.type": "manual or automatic",
  "engine.part": "id of the engine chosen",
  "engine.name": "its name",
  "engine.recipients": "true when the recipient already has it",
  "transmission.part": "id of the transmission chosen",
  "transmission.name": "its name",
  "transmission.recipients": "true when the recipient already has it",
  "coupling.separator": "id of the separator in use",
  "coupling.flywheel": "id of the flywheel in use",
  "coupling.flexplate": "id of the flexplate in use",
  "coupling.cover": "id of the clutch cover in use",
  "coupling.disc": "id of the clutch disc in use",
  "coupling.release-bearing": "id of the release bearing in use",
  "coupling.pilot": "id of the pilot piece in use",
  "coupling.starter": "id of the starter in use",
  "coupling.converter": "id of the converter in use",
  "face.bolts": "bell bolts that meet, a count",
  "face.dowels": "dowels in the block face, a count",
  "face.thread": "thread of the bell bolts",
  "face.plates": "adapter plates between block and bell, a count",
  "flange.bolts": "bolts of the crank flange, a count",
  "flange.thread": "their thread",
  "flange.lengthMm": "their length under the head, mm",
  "insert.parts": "ids of the parts that close the pairing, separated by spaces",
  "insert.kinds": "their kinds, separated by spaces, in the same order",
  "keep.air-conditioning": "air conditioning must still work",
  "keep.steering-assist": "steering assist must still work",
  "keep.brake-assist": "brake assist must still work",
  "keep.cruise": "cruise control must still work",
  "keep.gauges": "every gauge must still work",
  "keep.four-wheel-drive": "four-wheel drive must still work",
  "keep.power-take-off": "power take-off must still work",
  "keep.speedometer": "speedometer must still work",
  "keep.range-indicator": "range indicator must still work",
  "keep.emissions-equipment": "emissions equipment must still work",
  "keep.heater": "heater must still work",
  "stopper.papers": "yes, no or unknown: papers and engine number in hand",
  "stopper.law": "yes, no or unknown: the local authority allows it",
  "law.inspection": "an inspection or engineer's certificate is asked for"
};

// core/needs/recipe.ts
import { z as z3 } from "zod";
var recipeSchema = z3.object({
  id: z3.string().min(1),
  when: z3.array(z3.object({ fact: z3.enum(Object.keys(FACT_KEYS)), equals: z3.union([z3.string(), z3.number(), z3.boolean()]) })).default([]),
  whenListed: z3.array(z3.string()).default([]),
  add: z3.array(z3.object({ kind: z3.string(), place: z3.string().default("recipe"), words: z3.string(), quantity: z3.number().int().positive().default(1) })).min(1)
});

// contract/check.ts
import { z as z6 } from "zod";

// contract/wire.ts
import { z as z5 } from "zod";

// contract/words.ts
import { z as z4 } from "zod";
var KINDS = {
  string: "text",
  number: "a number",
  int: "a whole number",
  boolean: "yes or no",
  array: "a list",
  object: "a group of fields",
  record: "a group of fields",
  null: "nothing",
  undefined: "nothing"
};
var kindOf = (value) => KINDS[value === null ? "null" : Array.isArray(value) ? "array" : typeof value] ?? "something else";
var counted = (count3, one) => `${count3} ${one}${Number(count3) === 1 ? "" : "s"}`;
function say(issue) {
  switch (issue.code) {
    case "invalid_type":
      return issue.input === void 0 ? "It is missing." : `It should be ${KINDS[issue.expected] ?? issue.expected}, not ${kindOf(issue.input)}.`;
    case "too_big":
      if (issue.origin === "string") return `At most ${counted(issue.maximum, "character")}.`;
      return issue.origin === "array" ? `At most ${counted(issue.maximum, "entry").replace(/ys$/, "ies")}.` : `It should be at most ${issue.maximum}.`;
    case "too_small":
      if (issue.origin === "string") return issue.minimum === 1 ? "Fill it in." : `At least ${counted(issue.minimum, "character")}.`;
      if (issue.origin === "array") return `At least ${counted(issue.minimum, "entry").replace(/ys$/, "ies")}.`;
      return `It should be ${issue.inclusive === false ? "more than" : "at least"} ${issue.minimum}.`;
    case "invalid_value":
      return `Choose one of ${issue.values.slice(0, 20).join(", ")}.`;
    case "unrecognized_keys":
      return `There is no field ${issue.keys.slice(0, 5).join(", ")} here.`;
    default:
      return void 0;
  }
}
z4.config({ customError: say });

// contract/wire.ts
var methodIds = Object.keys(METHODS);
var statedSchema = z5.strictObject({
  value: z5.unknown(),
  plusMinus: z5.number().nonnegative().optional(),
  method: z5.enum(methodIds).optional(),
  grade: z5.enum(GRADES2).optional(),
  /** What the person wrote, kept beside the value. */
  typed: z5.string().max(2e4).optional()
});
var fieldSchema = z5.union([statedSchema, z5.array(statedSchema).min(1).max(50)]);
var wirePortSchema = z5.strictObject({
  kind: z5.enum(Object.keys(PORT_KINDS)),
  slot: z5.string().trim().min(1).max(60).regex(NO_CONTROLS, CONTROLS_SAID).default("main"),
  looks: z5.enum(["forward", "rearward"]).optional(),
  fields: z5.record(z5.string().max(60), fieldSchema).default({})
}).superRefine((port2, ctx) => {
  const words3 = PORT_KINDS[port2.kind].fields;
  for (const [name2, stated] of Object.entries(port2.fields)) {
    const field = own(words3, name2);
    if (!field) {
      ctx.addIssue({ code: "custom", path: ["fields", name2], message: `A ${port2.kind} has no field "${name2}". It has: ${Object.keys(words3).join(", ")}.` });
      continue;
    }
    const list = Array.isArray(stated) ? stated : [stated];
    list.forEach((one, i) => {
      const checked = field.schema.safeParse(one.value);
      if (!checked.success)
        ctx.addIssue({
          code: "custom",
          path: ["fields", name2, ...Array.isArray(stated) ? [i] : [], "value"],
          message: `${field.label}: ${checked.error.issues[0]?.message ?? "cannot be read"}`
        });
    });
  }
}).meta({ id: "Port" });
var wirePartSchema = z5.strictObject({ id: z5.string().min(1).max(80), kind: z5.string().max(60).default("part"), name: z5.string().max(200).optional(), ports: z5.array(wirePortSchema).max(40) }).meta({ id: "Part" });
var tolerancesSchema = z5.partialRecord(z5.enum(Object.keys(TOLERANCES)), z5.number().finite());
var limitsSchema = z5.strictObject({ use: z5.enum(["road", "delivery", "towing", "trail", "track"]).optional() });

// contract/check.ts
var contextSchema = z6.strictObject({
  stack: z6.array(wirePartSchema).max(12).optional(),
  recipient: wirePartSchema.optional(),
  placement: z6.enum(["keep", "set-back"]).optional(),
  tolerances: tolerancesSchema.optional(),
  limits: limitsSchema.optional()
});
var checkJointRequest = z6.strictObject({ joint: z6.union([z6.string(), z6.number().int()]), a: z6.array(wirePortSchema).max(60), b: z6.array(wirePortSchema).max(60), context: contextSchema.optional() }).meta({
  example: {
    joint: "pilot",
    a: [{ kind: "pilot-bore", slot: "crank", fields: { finished: { value: true, grade: "measured" }, boreMm: { value: 25, method: "micrometer", grade: "measured" } } }],
    b: [
      { kind: "pilot-piece", fields: { type: { value: "bush", grade: "maker" }, outerMm: { value: 25.02, grade: "maker" }, boreMm: { value: 15.05, grade: "maker" } } },
      { kind: "input-shaft", fields: { noseMm: { value: 15, method: "micrometer", grade: "measured" } } }
    ]
  }
});
var checkPairingRequest = z6.strictObject({
  engine: wirePartSchema,
  transmission: wirePartSchema,
  transfer: wirePartSchema.optional(),
  coupling: z6.array(wirePartSchema).max(20).optional(),
  recipient: wirePartSchema.optional(),
  placement: z6.enum(["keep", "set-back"]).optional(),
  parts: z6.array(wirePartSchema).max(300).optional(),
  tolerances: tolerancesSchema.optional(),
  limits: limitsSchema.optional()
}).meta({
  example: {
    engine: {
      id: "engine",
      kind: "engine",
      ports: [{ kind: "engine-output", fields: { peakTorqueNm: { value: 160, grade: "maker" }, redlineRpm: { value: 5800, grade: "maker" } } }]
    },
    transmission: {
      id: "box",
      kind: "transmission",
      ports: [
        { kind: "ratios", fields: { type: { value: "manual", grade: "maker" } } },
        { kind: "ratings", fields: { torqueNm: { value: 220, grade: "maker" }, reference: { value: "engine", grade: "maker" }, basis: { value: "nominal", grade: "maker" } } }
      ]
    },
    limits: { use: "delivery" }
  }
});
var nullable = z6.number().nullable();
var missingSchema = z6.object({
  part: z6.string(),
  partName: z6.string(),
  port: z6.string(),
  field: z6.string(),
  label: z6.string(),
  methods: z6.array(z6.string()),
  minutes: z6.number()
});
var taskSchema = z6.object({ id: z6.string(), words: z6.string(), hours: z6.number(), skills: z6.array(z6.string()), reversible: z6.boolean(), caution: z6.string().optional() });
var verdictSchema = z6.object({
  joint: z6.string(),
  code: z6.enum(CODES),
  limits: z6.array(
    z6.object({
      id: z6.string(),
      label: z6.string(),
      at: z6.string().optional(),
      unit: z6.string(),
      terms: z6.array(
        z6.object({
          sign: z6.union([z6.literal(1), z6.literal(-1)]),
          label: z6.string(),
          part: z6.string(),
          port: z6.string(),
          field: z6.string(),
          value: nullable,
          plusMinus: nullable,
          grade: z6.string().nullable()
        })
      ),
      value: nullable,
      plusMinus: nullable,
      rootSumSquare: nullable,
      low: nullable,
      high: nullable,
      margin: nullable,
      worstMargin: nullable,
      damage: z6.boolean(),
      code: z6.enum(CODES),
      words: z6.string(),
      pieces: z6.array(z6.string()),
      task: taskSchema.optional()
    })
  ),
  stated: z6.number(),
  known: z6.number(),
  agreed: z6.number(),
  outside: z6.number(),
  lean: z6.enum(["likely", "doubtful", "open"]),
  missing: z6.array(missingSchema),
  minutes: z6.number(),
  evidence: z6.string().nullable(),
  fields: z6.array(missingSchema),
  tasks: z6.array(taskSchema),
  pieces: z6.array(z6.string()),
  shown: z6.array(z6.object({ label: z6.string(), value: z6.union([z6.number(), z6.string()]), unit: z6.string() })),
  cautions: z6.array(z6.string())
}).meta({ id: "Verdict" });
var closingSetSchema = z6.object({ parts: z6.array(z6.string()), closes: z6.enum(["yes", "may"]), missing: z6.array(z6.string()) });
var jointResultSchema = z6.object({ id: z6.string(), joint: z6.string(), a: z6.string(), b: z6.string(), bare: verdictSchema, closed: verdictSchema.optional() });
var checkPairingResponse = z6.object({ joints: z6.array(jointResultSchema), closedBy: z6.array(closingSetSchema), notes: z6.array(z6.string()) });
var checkJointResponse = z6.object({ applies: z6.boolean(), verdict: verdictSchema.nullable() });

// contract/plan.ts
var jointSchema = z7.object({ joint: z7.string(), a: z7.string().optional(), b: z7.string().optional(), bare: verdictSchema, closed: verdictSchema.optional() });
var planNeedsRequest = z7.strictObject({
  facts: z7.array(z7.strictObject({ key: z7.enum(Object.keys(FACT_KEYS)), value: z7.union([z7.string().max(2e3), z7.number(), z7.boolean()]) })).max(200),
  joints: z7.array(jointSchema).max(60).optional(),
  recipes: z7.array(recipeSchema).max(100).optional()
}).meta({
  example: {
    facts: [
      { key: "gearbox.type", value: "automatic" },
      { key: "engine.part", value: "engine" },
      { key: "keep.heater", value: true }
    ]
  }
});
var needSchema = z7.object({
  id: z7.string(),
  kind: z7.string(),
  place: z7.string(),
  slot: z7.string(),
  words: z7.string(),
  quantity: z7.number(),
  level: z7.string(),
  waits: z7.string(),
  why: z7.array(z7.object({ rule: z7.string(), words: z7.string(), joint: z7.string().optional(), parent: z7.string().optional() })),
  wants: z7.string().optional(),
  constraints: z7.array(
    z7.object({
      port: z7.string().optional(),
      looks: z7.string().optional(),
      field: z7.string().optional(),
      low: z7.number().optional(),
      high: z7.number().optional(),
      equals: z7.string().optional()
    })
  ),
  conflict: z7.string().optional(),
  task: z7.object({ id: z7.string(), words: z7.string(), hours: z7.number(), skills: z7.array(z7.string()), reversible: z7.boolean(), caution: z7.string().optional() }).optional(),
  keep: z7.boolean().optional(),
  cautions: z7.array(z7.string())
}).meta({ id: "Need" });
var planNeedsResponse = z7.object({ needs: z7.array(needSchema) });
var minor = z7.number().int().min(-1e12).max(1e12);
var count = z7.number().int().positive().max(1e6);
var id = z7.string().min(1).max(200);
var planSourcingRequest = z7.strictObject({
  currency: z7.string().length(3),
  needs: z7.array(z7.strictObject({ id, quantity: count, optional: z7.boolean().optional(), penaltyMinor: minor.nonnegative().optional() })).max(1e3),
  candidates: z7.array(
    z7.strictObject({
      id,
      need: id,
      source: z7.enum(["keep", "shelf", "buy", "typed", "service", "made"]),
      supplier: id.optional(),
      priceMinor: minor,
      orderValueMinor: minor.nonnegative().optional(),
      pack: count.optional(),
      stock: z7.number().int().nonnegative().optional(),
      weightG: z7.number().int().nonnegative().optional(),
      minutes: z7.number().nonnegative().optional(),
      grade: z7.string().optional()
    })
  ).max(2e4),
  bundles: z7.array(
    z7.strictObject({
      id,
      kind: z7.enum(["kit", "donor"]),
      supplier: id.optional(),
      priceMinor: minor,
      orderValueMinor: minor.nonnegative().optional(),
      weightG: z7.number().int().nonnegative().optional(),
      scrapMinor: minor.optional(),
      items: z7.array(z7.strictObject({ id, need: id, quantity: count.optional(), stripMinor: minor.optional(), resaleMinor: minor.optional(), held: z7.boolean().optional() })).max(500)
    })
  ).max(500),
  suppliers: z7.array(
    z7.strictObject({
      id,
      minimumMinor: minor.nonnegative().optional(),
      shipping: z7.array(z7.strictObject({ id, upToG: z7.number().int().positive().optional(), fromMinor: minor.nonnegative().optional(), chargeMinor: minor.nonnegative() }))
    })
  ).max(200),
  limits: z7.strictObject({ maxSuppliers: z7.number().int().nonnegative().optional(), maxDonors: z7.number().int().nonnegative().optional(), banned: z7.array(id).optional() }).optional(),
  locks: z7.array(
    z7.strictObject({ id, way: z7.enum(["in", "out"]), candidate: id.optional(), bundle: id.optional(), supplier: id.optional() }).refine((lock) => [lock.candidate, lock.bundle, lock.supplier].filter(Boolean).length === 1, "A lock names one candidate, bundle or supplier.")
  ).max(500).optional(),
  timeLimitMs: z7.number().int().positive().max(3e4).optional()
}).superRefine((problem, ctx) => {
  const twice = (list, path) => {
    const seen = /* @__PURE__ */ new Set();
    for (const [i, one] of list.entries()) {
      if (seen.has(one.id)) ctx.addIssue({ code: "custom", path: [path, i, "id"], message: `"${one.id}" stands twice in ${path}. Give each its own id.` });
      seen.add(one.id);
    }
  };
  twice(problem.needs, "needs");
  twice(problem.candidates, "candidates");
  twice(problem.bundles, "bundles");
  twice(problem.suppliers, "suppliers");
  const suppliers = new Set(problem.suppliers.map((supplier) => supplier.id));
  problem.candidates.forEach((one, i) => {
    if (one.supplier !== void 0 && !suppliers.has(one.supplier))
      ctx.addIssue({ code: "custom", path: ["candidates", i, "supplier"], message: `There is no supplier "${one.supplier}" in suppliers.` });
  });
  problem.bundles.forEach((one, i) => {
    if (one.supplier !== void 0 && !suppliers.has(one.supplier))
      ctx.addIssue({ code: "custom", path: ["bundles", i, "supplier"], message: `There is no supplier "${one.supplier}" in suppliers.` });
  });
}).meta({
  example: {
    currency: "EUR",
    needs: [
      { id: "disc", quantity: 1 },
      { id: "bolt", quantity: 8 }
    ],
    candidates: [
      { id: "disc-a", need: "disc", source: "buy", supplier: "north", priceMinor: 9200 },
      { id: "bolt-a", need: "bolt", source: "buy", supplier: "north", priceMinor: 890, pack: 10 },
      { id: "bolt-b", need: "bolt", source: "buy", supplier: "south", priceMinor: 110 }
    ],
    bundles: [],
    suppliers: [
      {
        id: "north",
        shipping: [
          { id: "post", chargeMinor: 790 },
          { id: "free", chargeMinor: 0, fromMinor: 1e4 }
        ]
      },
      { id: "south", shipping: [{ id: "post", chargeMinor: 450 }] }
    ],
    limits: { maxSuppliers: 2 }
  }
});
var said = z7.string().max(600);
var planSourcingResponse = z7.object({
  status: z7.enum(["proven", "gap", "infeasible", "none"]),
  totalMinor: z7.number().nullable(),
  boundMinor: z7.number().nullable(),
  lines: z7.array(z7.object({ need: said, candidate: said.optional(), bundle: said.optional(), item: said.optional(), packs: z7.number(), costMinor: z7.number() })),
  baskets: z7.array(
    z7.object({
      supplier: said,
      shipping: said,
      shippingMinor: z7.number(),
      goodsMinor: z7.number(),
      orderValueMinor: z7.number(),
      weightG: z7.number(),
      candidates: z7.array(said),
      bundles: z7.array(said)
    })
  ),
  bundles: z7.array(z7.object({ bundle: said, priceMinor: z7.number(), scrapMinor: z7.number(), resaleMinor: z7.number(), stripMinor: z7.number() })),
  skipped: z7.array(said),
  open: z7.array(said),
  because: z7.array(said).optional()
});

// contract/text.ts
import { z as z8 } from "zod";

// core/money/money.ts
import { allocate as allocateDinero, dinero, toSnapshot } from "dinero.js";
import * as currencies from "dinero.js/currencies";
var known3 = currencies;
var isCurrency = (code) => Object.hasOwn(known3, code);
function minorDigits(code) {
  const found = known3[code];
  if (!found) throw new RangeError(`"${code}" is not an ISO 4217 currency code, such as EUR.`);
  return found.exponent;
}
function timesRate(minor3, rate2) {
  if (!Number.isSafeInteger(minor3)) throw new RangeError(`timesRate requires an integer of minor units, not ${minor3}`);
  if (!Number.isFinite(rate2)) throw new RangeError(`timesRate requires a finite rate, not ${rate2}`);
  if (rate2 === 1) return minor3;
  const scale = 1000000000000n;
  const scaled = BigInt(minor3) * toScaled(rate2);
  const negative = scaled < 0n;
  const size2 = negative ? -scaled : scaled;
  let whole = size2 / scale;
  const twice = size2 % scale * 2n;
  if (twice > scale || twice === scale && whole % 2n === 1n) whole += 1n;
  return Number(negative ? -whole : whole);
}
function toScaled(rate2) {
  const [whole, part = ""] = Math.abs(rate2).toFixed(12).split(".");
  const scaled = BigInt(whole + part.padEnd(12, "0"));
  return rate2 < 0 ? -scaled : scaled;
}
var withTax = (minor3, taxRate) => minor3 + timesRate(minor3, taxRate);
var convert = (minor3, from, to, rate2) => timesRate(minor3, rate2 * 10 ** (minorDigits(to) - minorDigits(from)));

// contract/text.ts
var id2 = z8.string().min(1).max(80).regex(/^(?!__proto__$)[\p{L}\p{N}_.:+~-]+$/u, "An id is letters, figures and . _ : + ~ -.");
var portId = z8.string().min(3).max(200).regex(NO_CONTROLS, CONTROLS_SAID);
var name = z8.string().trim().min(1, "Give it a name.").max(120).regex(NO_CONTROLS, CONTROLS_SAID);
var text = z8.string().max(2e3, "At most 2000 characters.").regex(/^[^\p{Cc}]*(?:[\n\r\t][^\p{Cc}]*)*$/u, "Leave out control characters.");
var line = z8.string().max(300).regex(NO_CONTROLS, CONTROLS_SAID);
var typedText = z8.string().min(1, "Type what was measured.").max(2e4);
var needId = z8.string().min(1).max(200).regex(NO_CONTROLS, CONTROLS_SAID);
var sourceId = z8.string().min(1).max(300);
var CURRENCY_SAID = "Use an ISO 4217 currency code, such as EUR.";
var currencySchema = z8.string().max(3, { error: CURRENCY_SAID, abort: true }).refine(isCurrency, CURRENCY_SAID);
var minor2 = z8.number().int().min(-1e12).max(1e12);
var amount = minor2.nonnegative("An amount cannot be negative.");
var count2 = z8.number().int().positive().max(1e6);
var day = z8.iso.date("Use a date such as 2026-03-14.");
var year = z8.number().int().min(1880).max(2100);
var hours = z8.number().min(0).max(1e3);

// contract/stored.ts
var grade = z9.enum(GRADES2);
var rate = z9.number().positive("A rate is more than 0.").max(1e9);
var share = z9.number().min(0).max(1);
var tax = z9.number().min(0).max(1, "Write 21 % as 0.21.");
var method = z9.string().max(60).refine((one) => Object.hasOwn(METHODS, one), "Not a method that is known.");
var answersSchema = z9.record(
  z9.string().min(1).max(200),
  z9.strictObject({
    value: z9.string().max(2e3),
    at: z9.iso.datetime("Say when it was answered, in UTC."),
    by: z9.string().max(120).nullable(),
    method: z9.string().max(60).optional()
  })
);
var answers = answersSchema.refine((one) => Object.keys(one).length <= 5e3, "More answers than any sheet asks.");
var settingValues = {
  units: z9.record(z9.string().max(20), z9.string().max(20)).refine(
    (units) => Object.entries(units).every(([stored, shown]) => Object.hasOwn(UNIT_CHOICES, stored) && UNIT_CHOICES[stored].includes(shown)),
    "Not a unit that it can be shown in."
  ),
  timeZone: z9.string().max(60).refine(isTimeZone, "Not a time zone that is known."),
  tolerances: z9.record(z9.string().max(60), z9.number().finite()).refine((one) => Object.keys(one).every((key) => Object.hasOwn(TOLERANCES, key)), "Not a tolerance that is known.")
};
var setting = z9.strictObject({ id: z9.enum(["units", "tolerances", "timeZone"]), value: z9.unknown() }).superRefine((row, ctx) => {
  for (const issue of settingValues[row.id]?.safeParse(row.value).error?.issues ?? []) ctx.addIssue({ code: "custom", path: ["value", ...issue.path], message: issue.message });
});
var port = z9.strictObject({
  id: portId,
  partId: id2,
  kind: z9.string().max(60).refine(isPortKind, "Not a kind of port."),
  slot: z9.string().min(1).max(60),
  looks: z9.enum(["forward", "rearward"]).nullish()
}).refine((one) => one.id.startsWith(`${one.partId}/${one.kind}/`), { path: ["id"], message: "A port is called part/kind/slot." });
var claim = z9.strictObject({
  id: id2,
  portId,
  field: z9.string().min(1).max(60),
  value: z9.unknown(),
  plusMinus: z9.number().nonnegative().nullish(),
  grade,
  method: method.nullish(),
  source: text.nullish(),
  saidBy: text.nullish(),
  day: day.nullish(),
  specimenId: id2.nullish(),
  typed: z9.string().max(2e4).nullish()
}).superRefine((row, ctx) => {
  const kind = row.portId.split("/")[1] ?? "";
  const words3 = isPortKind(kind) && Object.hasOwn(PORT_KINDS[kind].fields, row.field) ? PORT_KINDS[kind].fields[row.field] : null;
  if (!words3) return ctx.addIssue({ code: "custom", path: ["field"], message: `A ${kind} has no field "${row.field}".` });
  const checked = words3.schema.safeParse(row.value);
  if (!checked.success) ctx.addIssue({ code: "custom", path: ["value"], message: `${words3.label}: ${checked.error.issues[0]?.message ?? "cannot be read"}` });
});
var money = { currency: currencySchema };
var place4 = text.nullish();
var STORED_ROWS = {
  setting,
  person: z9.strictObject({ id: id2, name, decimal: z9.enum(["ask", "point", "comma"]) }),
  issuer: z9.strictObject({ id: id2, name, upper: z9.boolean(), noise: z9.string().max(10) }),
  supplier: z9.strictObject({ id: id2, name, place: place4, ...money, minimumMinor: amount, shippingMinor: amount, freeOverMinor: amount.nullish() }),
  rate: z9.strictObject({ id: id2, fromCurrency: currencySchema, toCurrency: currencySchema, rate, day, source: text.nullish() }).refine((one) => one.fromCurrency !== one.toCurrency, { path: ["toCurrency"], message: "A rate is between two different currencies." }),
  part: z9.strictObject({
    id: id2,
    kind: z9.string().max(60).refine(isPartKind, "Not a kind of part."),
    name,
    ownerId: id2.nullish(),
    isDefault: z9.boolean(),
    fromYear: year.nullish(),
    toYear: year.nullish(),
    massG: z9.number().int().nonnegative().max(1e9).nullish(),
    note: text.nullish(),
    template: z9.string().max(80).nullish()
  }).refine((one) => one.ownerId !== one.id, { path: ["ownerId"], message: "A part cannot have come with itself." }),
  partNumber: z9.strictObject({ id: id2, partId: id2, issuerId: id2, number: name, normalised: line }),
  supersession: z9.strictObject({ id: id2, partId: id2, issuerId: id2, oldNumber: name, newNumber: name, oneWay: z9.boolean() }),
  port,
  build: z9.strictObject({
    id: id2,
    name,
    recipientId: id2.nullish(),
    why: text.nullish(),
    use: z9.enum(["road", "delivery", "towing", "trail", "track"]).nullish(),
    ...money,
    taxRate: tax,
    labourRateMinor: amount,
    contingency: z9.number().min(0).max(5),
    likeForLikeMinor: amount.nullish(),
    mustWork: z9.array(z9.enum(KEPT_ASSEMBLIES)).max(50),
    inspection: z9.boolean().nullish(),
    school: z9.enum(["keep", "set-back"]),
    maxSuppliers: count2.nullish(),
    maxDonors: z9.number().int().nonnegative().max(1e6).nullish()
  }),
  specimen: z9.strictObject({ id: id2, partId: id2, buildId: id2, name }),
  claim,
  kit: z9.strictObject({
    id: id2,
    name,
    supplierId: id2.nullish(),
    priceMinor: amount,
    ...money,
    taxIncluded: z9.boolean(),
    weightG: z9.number().int().nonnegative().max(1e9).nullish(),
    omits: text.nullish(),
    note: text.nullish()
  }),
  kitItem: z9.strictObject({ id: id2, kitId: id2, partId: id2, quantity: count2 }),
  donor: z9.strictObject({
    id: id2,
    name,
    place: place4,
    ...money,
    priceMinor: amount,
    fetchMinor: amount,
    repairMinor: amount,
    missingMinor: amount,
    disposalMinor: amount,
    storageMinor: amount,
    scrapMinor: amount,
    saleFee: share,
    note: text.nullish()
  }),
  donorItem: z9.strictObject({ id: id2, donorId: id2, partId: id2, quantity: count2, stripHours: hours, saleMinor: amount, chance: share, sellingHours: hours, held: z9.boolean() }),
  offer: z9.strictObject({
    id: id2,
    partId: id2,
    supplierId: id2,
    issuerId: id2.nullish(),
    number: name.nullish(),
    normalised: line.nullish(),
    description: text.nullish(),
    priceMinor: amount,
    ...money,
    taxIncluded: z9.boolean(),
    pack: count2,
    stock: z9.number().int().nonnegative().max(1e6).nullish(),
    leadDays: z9.number().int().nonnegative().max(1e6).nullish(),
    condition: z9.string().min(1).max(40)
  }),
  donorSheet: z9.strictObject({ id: id2, buildId: id2, donorId: id2, answers }),
  jointClaim: z9.strictObject({
    id: id2,
    buildId: id2.nullish(),
    subject: z9.enum(["joint", "kit", "build", "stopper"]),
    joint: z9.string().max(60).refine((one) => jointNamed(one) !== null, "Not a joint.").nullish(),
    question: z9.string().max(60).refine(isStopper, "Not one of the twelve questions.").nullish(),
    engineId: id2.nullish(),
    transmissionId: id2.nullish(),
    engineFamily: line.nullish(),
    transmissionFamily: line.nullish(),
    kitId: id2.nullish(),
    says: z9.enum(["yes", "no", "unknown"]),
    grade,
    sentence: text.nullish(),
    source: text.nullish(),
    saidBy: text.nullish(),
    day: day.nullish(),
    distanceKm: z9.number().nonnegative().max(5e6).nullish(),
    changes: text.nullish(),
    known: count2.nullish()
  }),
  matingCard: z9.strictObject({ id: id2, buildId: id2, engineId: id2, transmissionId: id2, answers }),
  buildSheet: z9.strictObject({ id: id2, buildId: id2, kind: z9.string().min(1).max(60), answers }),
  pairing: z9.strictObject({ id: id2, buildId: id2, engineId: id2, transmissionId: id2, chosen: z9.boolean(), inserted: z9.array(id2).max(20).nullish() }),
  couplingChoice: z9.strictObject({ id: id2, pairingId: id2, kind: z9.enum([...COUPLING_KINDS, "transfer-case"]), partId: id2 }),
  decision: z9.strictObject({
    id: id2,
    buildId: id2,
    needId,
    act: z9.enum(["drop", "price", "estimate", "keep", "confirm"]),
    priceMinor: amount.nullish(),
    source: text.nullish(),
    note: text.nullish()
  }),
  sourcingLock: z9.strictObject({ id: id2, buildId: id2, way: z9.enum(["in", "out"]), candidate: sourceId.nullish(), bundle: sourceId.nullish(), supplierId: id2.nullish() }),
  plan: z9.strictObject({
    id: id2,
    buildId: id2,
    status: z9.enum(["proven", "gap", "infeasible", "none"]),
    totalMinor: minor2.nullish(),
    boundMinor: minor2.nullish(),
    day,
    madeFrom: z9.string().max(64),
    detail: planSourcingResponse
  }),
  planLine: z9.strictObject({
    id: id2,
    planId: id2,
    needId,
    source: z9.string().max(20),
    candidate: sourceId.nullish(),
    bundle: sourceId.nullish(),
    item: sourceId.nullish(),
    supplierId: id2.nullish(),
    partId: id2.nullish(),
    packs: z9.number().int().nonnegative().max(1e6),
    costMinor: minor2
  })
};

// server/database/tables.ts
var TABLES = {
  setting: { json: ["value"] },
  person: {},
  issuer: { flags: ["upper"] },
  supplier: {},
  rate: {},
  part: {
    isLarge: true,
    flags: ["isDefault"],
    refs: { ownerId: "part" },
    loose: ["ownerId"],
    owns: [
      ["partNumber", "partId"],
      ["supersession", "partId"],
      ["port", "partId"],
      ["part", "ownerId"]
    ]
  },
  partNumber: { isLarge: true, refs: { partId: "part", issuerId: "issuer" } },
  supersession: { isLarge: true, flags: ["oneWay"], refs: { partId: "part", issuerId: "issuer" } },
  port: { isLarge: true, refs: { partId: "part" }, owns: [["claim", "portId"]] },
  build: {
    json: ["mustWork"],
    flags: ["inspection"],
    refs: { recipientId: "part" },
    loose: ["recipientId"],
    owns: [
      ["specimen", "buildId"],
      ["pairing", "buildId"],
      ["decision", "buildId"],
      ["sourcingLock", "buildId"],
      ["plan", "buildId"],
      ["jointClaim", "buildId"],
      ["donorSheet", "buildId"],
      ["matingCard", "buildId"],
      ["buildSheet", "buildId"]
    ]
  },
  specimen: { refs: { partId: "part", buildId: "build" } },
  claim: { isLarge: true, json: ["value"], refs: { portId: "port", specimenId: "specimen" } },
  kit: { flags: ["taxIncluded"], refs: { supplierId: "supplier" }, loose: ["supplierId"], owns: [["kitItem", "kitId"]] },
  kitItem: { refs: { kitId: "kit", partId: "part" } },
  donor: {
    owns: [
      ["donorItem", "donorId"],
      ["donorSheet", "donorId"]
    ]
  },
  donorItem: { flags: ["held"], refs: { donorId: "donor", partId: "part" } },
  offer: { isLarge: true, flags: ["taxIncluded"], refs: { partId: "part", supplierId: "supplier", issuerId: "issuer" }, loose: ["issuerId"] },
  donorSheet: { json: ["answers"], refs: { buildId: "build", donorId: "donor" } },
  matingCard: { json: ["answers"], refs: { buildId: "build", engineId: "part", transmissionId: "part" } },
  buildSheet: { json: ["answers"], refs: { buildId: "build" } },
  jointClaim: { refs: { buildId: "build", engineId: "part", transmissionId: "part", kitId: "kit" } },
  pairing: { flags: ["chosen"], json: ["inserted"], refs: { buildId: "build", engineId: "part", transmissionId: "part" }, owns: [["couplingChoice", "pairingId"]] },
  couplingChoice: { refs: { pairingId: "pairing", partId: "part" } },
  decision: { refs: { buildId: "build" } },
  sourcingLock: { refs: { buildId: "build", supplierId: "supplier" } },
  plan: { json: ["detail"], refs: { buildId: "build" }, owns: [["planLine", "planId"]] },
  planLine: { refs: { planId: "plan", supplierId: "supplier", partId: "part" }, loose: ["supplierId", "partId"] }
};
var TABLE_NAMES = Object.keys(TABLES);
var shapeOf = (table) => TABLES[table];
function partOf(table, row) {
  if (table === "part") return String(row.id);
  if (table === "claim") return String(row.portId).split("/")[0];
  return shapeOf(table).isLarge ? String(row.partId) : null;
}

// server/database/set-aside.ts
var registers = /* @__PURE__ */ new WeakMap();
function asideOf(root) {
  let held2 = registers.get(root);
  if (!held2) registers.set(root, held2 = /* @__PURE__ */ new Map());
  return held2;
}
var changes = /* @__PURE__ */ new WeakMap();
var asideChanges = (root) => changes.get(root) ?? 0;
function faultsOf(table, { version: _, ...row }) {
  const { success, error } = STORED_ROWS[table].safeParse(row);
  return success ? [] : error.issues.map((issue) => ({ field: issue.path.map(String).join(".") || "row", message: issue.message }));
}
function verdict(aside2, table, row, unreadable) {
  const faults = unreadable.length > 0 ? unreadable : faultsOf(table, row);
  if (faults.length > 0 || aside2.size === 0) return { faults, because: null, without: [] };
  const { refs = {}, loose: loose3 = [] } = shapeOf(table);
  const without = [];
  for (const [column, target] of Object.entries(refs)) {
    const owner = typeof row[column] === "string" ? aside2.get(`${target}:${row[column]}`) : void 0;
    if (!owner || target === table && owner.id === row.id) continue;
    if (!loose3.includes(column)) return { faults: [{ field: column, message: `${owner.name} is set aside.` }], because: `${target}:${owner.id}`, without: [] };
    without.push(column);
  }
  return { faults: [], because: null, without };
}
function soundRow(root, table, row, unreadable, isKept) {
  const aside2 = asideOf(root);
  const key = `${table}:${row.id}`;
  const { faults, because, without } = verdict(aside2, table, row, unreadable);
  if (isKept && faults.length > 0) {
    if (!aside2.has(key)) changes.set(root, asideChanges(root) + 1);
    aside2.set(key, { table, id: row.id, name: String(row.name ?? row.needId ?? row.field ?? row.id).slice(0, 120), faults, because });
  } else if (isKept && aside2.delete(key)) changes.set(root, asideChanges(root) + 1);
  if (faults.length > 0) return null;
  return without.length > 0 ? { ...row, ...Object.fromEntries(without.map((column) => [column, null])) } : row;
}

// server/database/mirror.ts
var FOLLOWED = 1e5;
var MANY = 300;
var Mirror = class {
  /** Of the file it was read from; −1: read it anew. */
  epoch;
  rows = /* @__PURE__ */ new Map();
  /** Rows written since they were read. */
  stale = /* @__PURE__ */ new Set();
  /** By id: the same array until a row changes. */
  list = [];
  syncing = Promise.resolve();
  #groups = /* @__PURE__ */ new Map();
  #changes = [];
  #forgotten = 0;
  constructor(epoch) {
    this.epoch = epoch;
  }
  fill(rows) {
    for (const row of rows) this.rows.set(row.id, row);
    this.list = rows;
  }
  /** Rows of one value of a column, by id. */
  group(column, value) {
    let groups = this.#groups.get(column);
    if (!groups) {
      const gathered2 = /* @__PURE__ */ new Map();
      for (const row of this.list) {
        const key = String(row[column]);
        const held2 = gathered2.get(key);
        if (held2) held2.push(row);
        else gathered2.set(key, [row]);
      }
      this.#groups.set(column, groups = gathered2);
    }
    return groups.get(value) ?? [];
  }
  /** Takes in what was written; many rows at once are laid into the list in one pass. */
  take(rows) {
    if (rows.length <= MANY) {
      for (const [id3, to] of rows) this.#put(id3, to);
      return;
    }
    for (const [id3, to] of rows) {
      this.#follow({ from: this.rows.get(id3), to });
      if (to) this.rows.set(id3, to);
      else this.rows.delete(id3);
    }
    const written = new Map(rows);
    const fresh = [...written].flatMap(([, to]) => to ?? []).sort((p, q) => p.id < q.id ? -1 : 1);
    this.list = merged(
      this.list.filter(({ id: id3 }) => !written.has(id3)),
      fresh
    );
    this.#groups.clear();
  }
  #follow(change) {
    this.#changes.push(change);
    if (this.#changes.length > 2 * FOLLOWED) this.#forgotten += this.#changes.splice(0, FOLLOWED).length;
  }
  #put(id3, to) {
    const from = this.rows.get(id3);
    if (to) this.rows.set(id3, to);
    else this.rows.delete(id3);
    this.list = placed(this.list, id3, to);
    for (const [column, groups] of this.#groups) {
      const [before, after] = [from && String(from[column]), to && String(to[column])];
      if (before !== void 0 && before !== after) groups.set(before, placed(groups.get(before) ?? [], id3, void 0));
      if (after !== void 0) groups.set(after, placed(groups.get(after) ?? [], id3, to));
    }
    this.#follow({ from, to });
  }
  /** How many changes there were. */
  get seq() {
    return this.#forgotten + this.#changes.length;
  }
  /** Changes after so many; null where they are forgotten. */
  since(seq) {
    return seq < this.#forgotten ? null : this.#changes.slice(seq - this.#forgotten);
  }
};
function merged(one, other2) {
  const list = [];
  let at2 = 0;
  for (const row of one) {
    while (at2 < other2.length && other2[at2].id < row.id) list.push(other2[at2++]);
    list.push(row);
  }
  return [...list, ...other2.slice(at2)];
}
function placed(list, id3, row) {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = low + high >> 1;
    if (list[middle].id < id3) low = middle + 1;
    else high = middle;
  }
  const isThere2 = list[low]?.id === id3;
  if (!isThere2 && !row) return list;
  return [...list.slice(0, low), ...row ? [row] : [], ...list.slice(isThere2 ? low + 1 : low)];
}
var mirrors = /* @__PURE__ */ new WeakMap();
async function mirrored2(store2, table) {
  let held2 = mirrors.get(store2.root);
  if (!held2) {
    const fresh = /* @__PURE__ */ new Map();
    mirrors.set(store2.root, held2 = fresh);
    onChange(store2.root, ({ touched }) => {
      for (const one of touched) {
        const at2 = one.indexOf(":");
        fresh.get(one.slice(0, at2))?.stale.add(one.slice(at2 + 1));
      }
    });
  }
  if (held2.get(table)?.epoch !== store2.epoch) await meet(store2, table);
  let mirror = held2.get(table);
  if (mirror?.epoch !== store2.epoch) {
    const made = new Mirror(store2.epoch);
    held2.set(table, mirror = made);
    made.syncing = store2.read(table).then((rows) => made.fill(rows));
    made.syncing.catch(() => held2.delete(table));
    await made.syncing;
  }
  const whole = mirror;
  whole.syncing = whole.syncing.catch(() => void 0).then(() => sync(store2, table, whole));
  await whole.syncing;
  return whole;
}
async function meet(store2, table) {
  const held2 = mirrors.get(store2.root);
  for (const [column, target] of Object.entries(shapeOf(table).refs ?? {})) {
    if (target === table) continue;
    if (!shapeOf(target).isLarge) {
      if (held2?.get(target)?.epoch !== store2.epoch) await mirrored2(store2, target);
    } else if (!shapeOf(table).isLarge) await store2.readReferred(table, column, target);
  }
}
async function sync(store2, table, mirror) {
  if (mirror.stale.size === 0) return;
  const ids = [...mirror.stale];
  mirror.stale.clear();
  try {
    const aside2 = asideOf(store2.root);
    const before = ids.map((id3) => aside2.has(`${table}:${id3}`));
    const found = new Map((await store2.readIn(table, "id", ids)).map((row) => [row.id, row]));
    for (const id3 of ids) if (!found.has(id3) && aside2.has(`${table}:${id3}`) && !await store2.isThere(table, id3)) aside2.delete(`${table}:${id3}`);
    mirror.take(ids.map((id3) => [id3, found.get(id3)]));
    if (ids.some((id3, i) => aside2.has(`${table}:${id3}`) !== before[i])) {
      for (const [name2, one] of mirrors.get(store2.root) ?? []) if (name2 !== table) one.epoch = -1;
    }
  } catch (error) {
    for (const id3 of ids) mirror.stale.add(id3);
    throw error;
  }
}

// server/database/row.ts
var VERSION = 1;
var pack2 = (data) => JSON.stringify({ v: VERSION, data });
function unpack(text2) {
  if (typeof text2 !== "string") return null;
  const held2 = JSON.parse(text2);
  if (held2?.v !== VERSION) throw new SyntaxError(`What is stored is of version ${String(held2?.v)}; version ${VERSION} is read.`);
  return held2.data;
}
function toRow(table, values) {
  const { json = [], flags = [] } = shapeOf(table);
  const out2 = {};
  for (const [key, value] of Object.entries(values)) {
    if (value === void 0) continue;
    if (json.includes(key)) out2[key] = value === null ? null : pack2(value);
    else if (flags.includes(key)) out2[key] = value === null ? null : value ? 1 : 0;
    else out2[key] = value;
  }
  return out2;
}

// server/database/store.ts
var epochs = /* @__PURE__ */ new WeakMap();
var EPOCH = 1e12;
function fromRow(table, row) {
  const { json = [], flags = [] } = shapeOf(table);
  const out2 = { ...row };
  const unreadable = [];
  for (const key of json)
    try {
      out2[key] = unpack(row[key]);
    } catch (error) {
      unreadable.push({ field: key, message: /version/.test(error.message) ? error.message : "What is stored is not JSON." });
    }
  for (const key of flags) out2[key] = row[key] === null ? null : row[key] === 0 || row[key] === 1 ? row[key] === 1 : row[key];
  return { row: out2, unreadable };
}
var Store = class _Store {
  knex;
  who;
  /** The database itself, the same inside and outside transactions. */
  root;
  /** Rows written in this transaction, as `table:id`. */
  #touched = /* @__PURE__ */ new Set();
  /** Parts they tell of. */
  #parts = /* @__PURE__ */ new Set();
  /** The newest entry of the history that this transaction wrote. */
  #newest = 0;
  constructor(knex2, who = "bench", root = knex2) {
    this.knex = knex2;
    this.who = who;
    this.root = root;
  }
  /** What was computed inside a transaction may never have been: nothing is remembered from there. */
  get inTransaction() {
    return this.knex !== this.root;
  }
  /** Runs work in one transaction: all of it lands, or none. */
  async transaction(work) {
    let inner2 = null;
    const result = await this.knex.transaction((trx) => {
      inner2 = new _Store(trx, this.who, this.root);
      return work(inner2);
    });
    const done = inner2;
    if (done && done.#touched.size > 0) this.#wrote({ touched: [...done.#touched], parts: [...done.#parts], newest: done.#newest });
    return result;
  }
  /** Tells of what another connection wrote into the same file. */
  landed(landed) {
    this.#wrote(landed);
  }
  /** Runs work while this process writes and reads nothing: whoever wants to waits its turn, and nothing else is held up. */
  async parked(work) {
    const connection = await this.root.client.acquireConnection();
    try {
      return await work();
    } finally {
      await this.root.client.releaseConnection(connection);
    }
  }
  /** The file under the database; null where it is kept in memory. */
  get file() {
    const { filename } = this.root.client.config.connection;
    return typeof filename === "string" && filename !== ":memory:" ? filename : null;
  }
  /** Grows when the file under the database is replaced. */
  get epoch() {
    return epochs.get(this.root) ?? 0;
  }
  /** Forgets what was computed from the data: the file under it was replaced. */
  replaced() {
    epochs.set(this.root, this.epoch + 1);
    asideOf(this.root).clear();
  }
  async list(table, where2 = {}) {
    if (this.#isReadStraight(table)) return this.read(table, where2);
    const conditions = Object.entries(where2).filter(([, value]) => value !== void 0);
    const { list } = await mirrored2(this, table);
    return (conditions.length === 0 ? list : list.filter((row) => conditions.every(([column, value]) => row[column] === value))).slice();
  }
  /** Large tables, and inside a transaction all: what it wrote itself is not kept in memory yet. */
  #isReadStraight(table) {
    return this.inTransaction || shapeOf(table).isLarge === true;
  }
  /** Rows straight from the database, by id. */
  async read(table, where2 = {}) {
    await this.#meetOwners(table);
    const rows = await this.knex(table).where(toRow(table, where2)).orderBy("id");
    return this.#sound(table, rows);
  }
  async listIn(table, column, values) {
    if (this.#isReadStraight(table)) return this.readIn(table, column, [...new Set(values)]);
    const wanted3 = new Set(values);
    if (wanted3.size === 0) return [];
    const { list, rows } = await mirrored2(this, table);
    if (column === "id") return [...wanted3].flatMap((id3) => rows.get(id3) ?? []);
    return list.filter((row) => wanted3.has(row[column]));
  }
  async readIn(table, column, values, where2 = {}) {
    await this.#meetOwners(table);
    const found = [];
    for (let i = 0; i < values.length; i += 500) {
      if (i > 0) await setImmediate();
      const rows = await this.knex(table).where(toRow(table, where2)).whereIn(column, values.slice(i, i + 500)).orderBy("id");
      found.push(...this.#sound(table, rows));
    }
    return found;
  }
  /** Reads a page of a table by id, for what cannot be read in it. @returns the last id; null at the end */
  async readPage(table, after, limit) {
    await this.#meetOwners(table);
    const rows = await this.knex(table).where("id", ">", after).orderBy("id").limit(limit);
    this.#sound(table, rows);
    return rows.length < limit ? null : rows.at(-1).id;
  }
  /** Rows of a table that another refers to. */
  async readReferred(table, column, target) {
    const rows = await this.knex(target).whereIn("id", this.knex(table).distinct(column)).orderBy("id");
    return this.#sound(target, rows);
  }
  async find(table, id3) {
    if (!this.#isReadStraight(table)) return (await mirrored2(this, table)).rows.get(id3) ?? null;
    await this.#meetOwners(table);
    const row = await this.knex(table).where({ id: id3 }).first();
    return row ? this.#sound(table, [row])[0] ?? null : null;
  }
  /** What a row refers to is read first: whether it can be read counts. */
  async #meetOwners(table) {
    if (!this.inTransaction) await meet(this, table);
  }
  /** What is wrong with a row, or with what it belongs to; null where it can be read, or is not there. */
  async aside(table, id3) {
    const found = await this.knex(table).where({ id: id3 }).first();
    if (!found) return null;
    const { row, unreadable } = fromRow(table, found);
    for (const [column, target] of Object.entries(shapeOf(table).refs ?? {}))
      if (typeof row[column] === "string" && `${target}:${row[column]}` !== `${table}:${id3}`) await this.aside(target, row[column]);
    soundRow(this.root, table, row, unreadable, !this.inTransaction);
    return asideOf(this.root).get(`${table}:${id3}`) ?? null;
  }
  /** Rows that can be read; the others are set aside. */
  #sound(table, rows) {
    return rows.flatMap((one) => {
      const { row, unreadable } = fromRow(table, one);
      return soundRow(this.root, table, row, unreadable, !this.inTransaction) ?? [];
    });
  }
  async isThere(table, id3) {
    return await this.knex(table).where({ id: id3 }).first("id") !== void 0;
  }
  /** Nothing is written that could not be read again. @throws UnprocessableError: the transaction is undone */
  async #hold(table, id3) {
    const { row, unreadable } = fromRow(table, await this.knex(table).where({ id: id3 }).first());
    const faults = unreadable.length > 0 ? unreadable : faultsOf(table, row);
    if (faults.length > 0)
      throw new UnprocessableError(
        `${faults[0].field}: ${faults[0].message}`,
        faults.map(({ field, message }) => ({ path: field, message }))
      );
  }
  /** A row as it stands, readable or not. @throws MissingError */
  async raw(table, id3) {
    const row = await this.knex(table).where({ id: id3 }).first();
    if (!row) throw new MissingError(`There is no ${words(table)} with id ${id3}. It may have been moved to the trash.`);
    return fromRow(table, row).row;
  }
  /** @throws MissingError */
  async get(table, id3) {
    const row = await this.find(table, id3);
    const aside2 = row ? null : await this.aside(table, id3);
    if (aside2) throw new ConflictError(`${aside2.name} cannot be read (${aside2.faults[0]?.field}: ${aside2.faults[0]?.message}) and is set aside. Mend it in People and safekeeping.`);
    if (!row) throw new MissingError(`There is no ${words(table)} with id ${id3}. It may have been moved to the trash.`);
    return row;
  }
  async insert(table, values) {
    const row = { id: uuidv7(), ...values };
    await this.#keepTree(table, String(row.id), row);
    await this.knex(table).insert(toRow(table, row));
    await this.#hold(table, String(row.id));
    await this.#log(table, row, "insert", null, row);
    return this.get(table, String(row.id));
  }
  /** Inserts many rows of one shape in batches, each with its history entry. Rows carry their ids. */
  async insertMany(table, rows) {
    const at2 = (/* @__PURE__ */ new Date()).toISOString();
    const size2 = Math.max(1, Math.floor(900 / Math.max(1, Object.keys(rows[0] ?? {}).length)));
    for (let i = 0; i < rows.length; i += size2) {
      const batch = rows.slice(i, i + size2);
      await this.knex(table).insert(batch.map((row) => toRow(table, row)));
      let newest = 0;
      for (let j = 0; j < batch.length; j += 100)
        [newest = 0] = await this.knex("history").insert(
          batch.slice(j, j + 100).map((row) => ({ at: at2, ...this.#actor(), entity: table, entityId: String(row.id), act: "insert", before: null, after: pack2(row) }))
        );
      this.#wrote({ touched: batch.map((row) => `${table}:${row.id}`), parts: batch.flatMap((row) => partOf(table, row) ?? []), newest });
    }
  }
  /** @throws ConflictError when the version is not the one stored: both values are told. */
  async update(table, id3, version, patch) {
    return await this.#change(table, await this.get(table, id3), version, patch);
  }
  /** The same for a row that is set aside. @throws ConflictError · MissingError */
  async mend(table, id3, version, patch) {
    return this.#change(table, await this.raw(table, id3), version, patch);
  }
  async #change(table, before, version, patch) {
    const { id: id3 } = before;
    if (before.version !== version)
      throw new ConflictError(`This ${words(table)} was changed meanwhile (version ${before.version}, yours was ${version}). Look at both and save again.`, {
        theirs: before,
        yours: patch
      });
    const changed = Object.fromEntries(Object.entries(patch).filter(([key, value]) => value !== void 0 && key !== "id" && key !== "version"));
    await this.#keepTree(table, id3, changed);
    const landed = await this.knex(table).where({ id: id3, version }).update({ ...toRow(table, changed), version: version + 1 });
    if (landed !== 1) throw new ConflictError(`This ${words(table)} was changed meanwhile. Look at it again and save again.`);
    await this.#hold(table, id3);
    await this.#log(table, before, "update", Object.fromEntries(Object.keys(changed).map((key) => [key, before[key]])), changed);
    return this.get(table, id3);
  }
  /** Moves a row and what it owns to the trash; the trash id undoes it. */
  async remove(table, id3, version) {
    const row = await this.find(table, id3) ?? await this.raw(table, id3);
    if (version !== void 0 && row.version !== version)
      throw new ConflictError(`This ${words(table)} was changed meanwhile. Look at it again before removing it.`, { theirs: row });
    const rows = await this.#gather(table, row);
    const trash = uuidv7();
    await this.knex("trash").insert({ id: trash, entity: table, entityId: id3, at: (/* @__PURE__ */ new Date()).toISOString(), rows: pack2(rows) });
    for (const [owned, one] of [...rows].reverse()) await this.unmake(owned, one);
    return trash;
  }
  /** Puts back what one remove took. @throws MissingError */
  async restore(trash) {
    const found = await this.knex("trash").where({ id: trash }).first();
    if (!found) throw new MissingError("That is not in the trash any more: it was put back already.");
    for (const [table, row] of unpack(found.rows)) await this.reinsert(table, row);
    await this.knex("trash").where({ id: trash }).delete();
    return { entity: found.entity, id: found.entityId };
  }
  /** Puts a removed row back as it was. */
  async reinsert(table, row) {
    await this.#keepTree(table, row.id, row);
    await this.knex(table).insert(toRow(table, { ...row, version: row.version + 1 }));
    await this.#log(table, row, "restore", null, row);
  }
  /** Deletes one row without gathering what it owns, and without the trash: the history holds it. */
  async unmake(table, row) {
    await this.knex(table).where({ id: row.id }).delete();
    await this.#log(table, row, "remove", row, null);
  }
  /** Grows with every write: a cheap key for what was computed from the data. */
  async revision() {
    const row = await this.knex("history").max("id as id").first();
    return this.epoch * EPOCH + Number(row?.id ?? 0);
  }
  /** A row and all it owns, each once: data that goes round in a circle ends too. */
  async #gather(table, row, seen = /* @__PURE__ */ new Set()) {
    if (seen.has(`${table}:${row.id}`)) return [];
    seen.add(`${table}:${row.id}`);
    const rows = [[table, row]];
    for (const [owned, column] of shapeOf(table).owns ?? []) for (const one of await this.#rawOf(owned, column, row.id)) rows.push(...await this.#gather(owned, one, seen));
    return rows;
  }
  /** Rows of an owner as they stand, those set aside included. */
  async #rawOf(table, column, owner) {
    return (await this.knex(table).where({ [column]: owner }).orderBy("id")).map((row) => fromRow(table, row).row);
  }
  /** What owns rows of its own table must not come to own itself, directly or through others. @throws UnprocessableError */
  async #keepTree(table, id3, values) {
    const column = shapeOf(table).owns?.find(([owned]) => owned === table)?.[1];
    if (!column || typeof values[column] !== "string") return;
    const seen = /* @__PURE__ */ new Set();
    for (let owner = values[column]; typeof owner === "string" && !seen.has(owner); ) {
      if (owner === id3)
        throw new UnprocessableError(`This ${words(table)} would come with itself. Choose another one that it came with.`, [
          { path: column, message: "It would come with itself." }
        ]);
      seen.add(owner);
      const above = await this.knex(table).where({ id: owner }).first(this.knex.ref(column).as("owner"));
      owner = above?.owner;
    }
  }
  #actor() {
    const actor = actorNow();
    return { who: actor?.who ?? this.who, command: actor?.command ?? null };
  }
  async #log(entity, row, act, before, after) {
    const [newest = 0] = await this.knex("history").insert({
      at: (/* @__PURE__ */ new Date()).toISOString(),
      ...this.#actor(),
      entity,
      entityId: row.id,
      act,
      before: before === null ? null : pack2(before),
      after: after === null ? null : pack2(after)
    });
    this.#wrote({ touched: [`${entity}:${row.id}`], parts: [partOf(entity, row), partOf(entity, { ...row, ...after })].flatMap((part) => part ?? []), newest });
  }
  /** Inside a transaction others hear of it when it lands; a single write lands at once. */
  #wrote({ touched, parts, newest }) {
    if (this.inTransaction) {
      this.#newest = Math.max(this.#newest, newest);
      for (const one of touched) this.#touched.add(one);
      for (const one of parts) this.#parts.add(one);
    } else {
      const actor = actorNow();
      announce(this.root, { revision: this.epoch * EPOCH + newest, who: actor?.who ?? this.who, command: actor?.command ?? null, touched, parts: [...new Set(parts)] });
    }
  }
  /** What anything remembered of this database is kept under: grows in the very moment a change is told. */
  get told() {
    return `${this.epoch} ${changesTold(this.root)}`;
  }
};
var words = (table) => table.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

// server/database/constraint.ts
var camel2 = (name2) => name2.replace(/_([a-z])/g, (_, letter) => letter.toUpperCase());
var words2 = (name2) => name2.replace(/Id$/, "").replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
var TOGETHER = {
  partNumber: "The number is taken already: another part has it.",
  offer: "The same supplier, issuer, number, condition and pack are here already.",
  part: "That kind has its default piece already.",
  pairing: "That engine and transmission are paired in this build already."
};
function brokenRule(error) {
  if (!error.code?.startsWith("SQLITE_CONSTRAINT")) return null;
  if (error.code === "SQLITE_CONSTRAINT_FOREIGNKEY") return { message: "Something else still uses it, or it names something that is not here." };
  const named = /(?:UNIQUE|NOT NULL) constraint failed: ([\w.]+)(?:, ([\w., ]+))?/.exec(error.message ?? "");
  const [table = "", column = ""] = named?.[1]?.split(".").map(camel2) ?? [];
  const known5 = TABLE_NAMES.includes(table) ? { table, field: column } : {};
  if (error.code === "SQLITE_CONSTRAINT_NOTNULL") return { message: `The ${words2(column)} is missing.`, ...known5 };
  if (error.code === "SQLITE_CONSTRAINT_UNIQUE" || error.code === "SQLITE_CONSTRAINT_PRIMARYKEY") {
    if (column === "id" || !named) return { message: Object.hasOwn(TOGETHER, table) ? TOGETHER[table] : "It is here already.", ...known5 };
    return { message: Object.hasOwn(TOGETHER, table) ? TOGETHER[table] : `Another ${words2(table)} has the same ${words2(column)}.`, ...known5 };
  }
  return { message: "A value of it is out of its range.", ...known5 };
}

// server/documents/file-fault.ts
var FileFault = class extends Error {
  faults;
  /** 400 where it is not of its format at all. */
  status;
  constructor(message, faults = [], status = 422) {
    super(message);
    this.faults = faults;
    this.status = status;
  }
};

// server/documents/build-json.ts
var BATCH = 500;
var NAMED_FAULTS = 300;
function* readBuildDocument(document) {
  const { format, version, tables } = document ?? {};
  if (format !== "junket-build" || typeof tables !== "object" || tables === null || Array.isArray(tables))
    throw new FileFault('This is not a Junket build document: it should start with "format": "junket-build".');
  if (version !== 1) throw new FileFault(`This document is of version ${JSON.stringify(version)?.slice(0, 20)}; this Junket reads version 1.`);
  const faults = [];
  const held2 = tables;
  for (const name2 of Object.keys(held2)) if (!Object.hasOwn(STORED_ROWS, name2)) faults.push({ path: name2.slice(0, 80), message: "A table of this name is not known here." });
  for (const table of Object.keys(STORED_ROWS)) if (Object.hasOwn(held2, table)) checkTable(table, held2[table], faults);
  if (faults.length > 0)
    throw new FileFault(
      `${faults.length} ${faults.length === 1 ? "thing is" : "things are"} wrong in this document: nothing was read. First: ${faults[0].path}: ${faults[0].message}`,
      faults.slice(0, NAMED_FAULTS)
    );
  for (const table of Object.keys(STORED_ROWS)) {
    const rows = Object.hasOwn(held2, table) ? held2[table] : [];
    for (let from = 0; from < rows.length; from += BATCH) yield { table, rows: rows.slice(from, from + BATCH) };
  }
}
function checkTable(table, rows, faults) {
  if (!Array.isArray(rows)) return void faults.push({ path: table, message: "It should be a list of rows." });
  const seen = /* @__PURE__ */ new Set();
  rows.forEach((row, i) => {
    const own3 = typeof row === "object" && row !== null ? row.id : void 0;
    const where2 = `${table}/${typeof own3 === "string" && own3 !== "" ? own3.slice(0, 80) : `row ${i + 1}`}`;
    const checked = STORED_ROWS[table].safeParse(row);
    for (const issue of checked.error?.issues ?? []) for (const one of faultsOf2(issue)) faults.push({ path: [where2, ...one.path].join("/"), message: one.message });
    if (typeof own3 !== "string") return;
    if (seen.has(own3)) faults.push({ path: `${where2}/id`, message: "Another row of this table has the same id." });
    seen.add(own3);
  });
}
function faultsOf2(issue) {
  if (issue.code === "unrecognized_keys")
    return issue.keys.map((key) => ({ path: [...issue.path.map(String), key.slice(0, 60)], message: "A field of this name is not known here." }));
  return [{ path: issue.path.map(String), message: issue.message }];
}

// core/group.ts
function groupBy(items, keyOf2) {
  const groups = /* @__PURE__ */ new Map();
  for (const item2 of items) {
    const key = keyOf2(item2);
    if (key === null) continue;
    const group = groups.get(key);
    if (group) group.push(item2);
    else groups.set(key, [item2]);
  }
  return groups;
}

// core/identity/part-number.ts
var DEFAULT_RULE = { upper: true, noise: " .-" };
function normaliseNumber(number, rule3 = DEFAULT_RULE) {
  const spelled = [...number.trim()].filter((char) => !rule3.noise.includes(char)).join("");
  return rule3.upper ? spelled.toUpperCase() : spelled;
}

// core/mechanics/spline.ts
var SPLINE = /^(\d+)\s*(?:-?\s*(?:spline|splines|teeth|tooth|t)\b)?\s*(?:[x×,]|on|by)?\s*(.+)$/i;
var isSpline = (typed) => /^\s*\d+\s*-?\s*(spline|splines|teeth|tooth)\b/i.test(typed);
function parseSpline(typed, reading = {}) {
  const match = SPLINE.exec(typed.trim());
  if (!match || !isSpline(typed)) throw new QuantityError(`"${typed}" is not a spline. Write how many and the outer \xD8: 26 spline 1-1/8, or 23 spline 25.4 mm.`);
  const splines4 = Number(match[1]);
  if (splines4 < 3) throw new QuantityError(`${splines4} splines are too few: count them again.`);
  const majorMm = parseQuantity(match[2].replace(/^(\d+)-(\d+\/\d+)/, "$1 $2"), "mm", reading);
  if (majorMm <= 0) throw new QuantityError(`"${typed}": the \xD8 must be more than 0.`);
  return { splines: splines4, majorMm };
}

// core/ports/parse.ts
function parseTyped(words3, typed, reading = {}) {
  const text2 = typed.trim();
  if (text2 === "") throw new QuantityError(`${words3.label}: type a value, or leave the field out to say it is not known.`);
  switch (words3.type) {
    case "number":
      return parseQuantity(text2, words3.unit, reading);
    case "flag":
      if (/^(yes|y|true|1)$/i.test(text2)) return true;
      if (/^(no|n|false|0)$/i.test(text2)) return false;
      throw new QuantityError(`${words3.label}: type yes or no, not "${text2}".`);
    case "thread":
      return parseThread(text2);
    case "word":
      if (words3.choices && !words3.choices.includes(text2)) throw new QuantityError(`${words3.label}: choose one of ${words3.choices.join(", ")}, not "${text2}".`);
      return text2;
    case "numbers":
      return text2.split(/[\s;]+/).filter(Boolean).map((item2) => parseQuantity(item2, words3.unit === "\xB0" ? "\xB0" : "", reading));
    case "holes":
      return lines(text2).map((line2, i) => parseHole(line2, i + 1, reading));
    case "dowels":
      return /^none$/i.test(text2) ? [] : lines(text2).map((line2, i) => {
        const { thread: _, optional: __, ...dowel } = parseHole(line2, i + 1, reading);
        return { ...dowel, .../\bpin\b/i.test(line2) ? { pin: true } : {} };
      });
    case "points":
      return lines(text2).map((line2, i) => {
        const [x, y] = figures(line2, 2, i + 1, reading);
        return { x, y };
      });
    case "zones":
      return /^none$/i.test(text2) ? [] : lines(text2).map((line2, i) => parseZone(line2, i + 1, reading));
  }
}
function parseZone(line2, number, reading) {
  const [fromMm, toMm, depthMm] = figures(line2, 3, number, reading);
  if (toMm <= fromMm) throw new QuantityError(`Line ${number}, "${line2}": it must end further back than it starts.`);
  const rest = line2.split(/\s+/).slice(3);
  const name2 = rest.filter((word2) => !/^moving$/i.test(word2)).join(" ");
  return { fromMm, toMm, depthMm, ...rest.some((word2) => /^moving$/i.test(word2)) ? { moving: true } : {}, ...name2 ? { name: name2 } : {} };
}
function parseFields(fields, name2, typed, reading = {}) {
  if ((name2 === "splines" || name2 === "majorMm") && fields.splines && fields.majorMm && isSpline(typed)) return { ...parseSpline(typed, reading) };
  return { [name2]: parseTyped(fields[name2], typed, reading) };
}
var lines = (text2) => text2.split(/[\n;]+/).map((line2) => line2.trim()).filter(Boolean);
function figures(line2, count3, number, reading) {
  const items = line2.split(/\s+/).slice(0, count3);
  if (items.length < count3) throw new QuantityError(`Line ${number}, "${line2}": type ${count3 === 3 ? "three figures" : "x and y"} separated by spaces.`);
  return items.map((item2) => parseQuantity(item2, "mm", reading));
}
function parseHole(line2, number, reading) {
  const [x, y, d] = figures(line2, 3, number, reading);
  if (d <= 0) throw new QuantityError(`Line ${number}: \xD8 must be more than 0.`);
  const rest = line2.split(/\s+/).slice(3);
  const written = rest.find((item2) => /^M\d|^\d+\/\d+-\d+/i.test(item2));
  const thread2 = written && parseThread(written);
  const process3 = PROCESSES.find((name2) => rest.includes(name2));
  const known5 = rest.filter((item2) => item2 === written || item2 === process3 || /^(optional|pin)$/i.test(item2));
  if (known5.length !== rest.length)
    throw new QuantityError(
      `Line ${number}: "${rest.find((item2) => !known5.includes(item2))}" is not understood. After \xD8 write a thread (M10x1.5), optional, pin, or how it was cut (${PROCESSES.join(", ")}).`
    );
  return { x, y, d, ...thread2 ? { thread: thread2 } : {}, ...rest.includes("optional") ? { optional: true } : {}, ...process3 ? { process: process3 } : {} };
}
function printTyped(words3, value) {
  if (value === null || value === void 0) return "";
  switch (words3.type) {
    case "flag":
      return value ? "yes" : "no";
    case "numbers":
      return value.join(" ");
    case "holes":
      return value.map((h) => [h.x, h.y, h.d, h.thread, h.optional ? "optional" : void 0, h.process].filter((item2) => item2 !== void 0).join(" ")).join("\n");
    case "dowels":
      return value.length === 0 ? "none" : value.map((d) => [d.x, d.y, d.d, d.pin ? "pin" : void 0, d.process].filter((item2) => item2 !== void 0).join(" ")).join("\n");
    case "zones":
      return value.length === 0 ? "none" : value.map((z10) => [z10.fromMm, z10.toMm, z10.depthMm, z10.moving ? "moving" : void 0, z10.name].filter((item2) => item2 !== void 0).join(" ")).join("\n");
    case "points":
      return value.map((p) => `${p.x} ${p.y}`).join("\n");
    default:
      return String(value);
  }
}

// server/services/shelf.ts
import { setImmediate as setImmediate2 } from "node:timers/promises";

// server/services/core-parts.ts
function toCoreParts(parts, ports, claims) {
  const claimsOf = groupBy(claims, (row) => row.portId);
  const portsOf = groupBy(ports, (row) => row.partId);
  return parts.map((part) => ({
    id: part.id,
    kind: String(part.kind),
    name: String(part.name),
    ports: (portsOf.get(part.id) ?? []).filter((port2) => isPortKind(String(port2.kind))).map((port2) => {
      const byField = [...groupBy(claimsOf.get(port2.id) ?? [], (row) => String(row.field))].map(([field, rows]) => [field, rows.map(toClaim)]);
      return { id: port2.id, kind: String(port2.kind), slot: String(port2.slot), ...port2.looks ? { looks: port2.looks } : {}, claims: Object.fromEntries(byField) };
    })
  }));
}
function toClaim(row) {
  const optional = Object.entries({
    plusMinus: row.plusMinus,
    method: row.method,
    source: row.source,
    by: row.saidBy,
    on: row.day,
    specimen: row.specimenId,
    typed: row.typed
  }).filter(([, value]) => value !== null && value !== void 0);
  return { id: row.id, value: row.value, grade: row.grade, ...Object.fromEntries(optional) };
}

// server/services/shelf.ts
var kept2 = /* @__PURE__ */ new WeakMap();
async function compiledShelf(store2, buildId) {
  const shelf = await shopShelf(store2);
  const specimens = buildId ? await store2.list("specimen", { buildId }) : [];
  return specimens.length === 0 ? shelf : ownShelf(store2, buildId, shelf, specimens);
}
async function shopShelf(store2) {
  let held2 = kept2.get(store2.root);
  if (held2?.epoch !== store2.epoch) {
    if (!held2)
      onChange(store2.root, ({ parts }) => {
        const now2 = kept2.get(store2.root);
        for (const id3 of parts) now2?.stale.add(id3);
      });
    kept2.set(store2.root, held2 = { epoch: store2.epoch, shelf: null, stale: /* @__PURE__ */ new Set(), working: Promise.resolve(), builds: /* @__PURE__ */ new Map() });
  }
  const now = held2;
  const turn2 = now.working.catch(() => void 0).then(() => follow(store2, now));
  now.working = turn2;
  return turn2;
}
async function follow(store2, now) {
  const stale = [...now.stale];
  now.stale.clear();
  try {
    if (!now.shelf) now.shelf = await gathered(store2);
    else if (stale.length > 0) now.shelf = await renewed(store2, now.shelf, stale);
    return now.shelf;
  } catch (error) {
    for (const id3 of stale) now.stale.add(id3);
    throw error;
  }
}
var AT_ONCE = 200;
async function gathered(store2) {
  const ids = await store2.knex("part").orderBy("id").select("id");
  const parts = /* @__PURE__ */ new Map();
  const rows = /* @__PURE__ */ new Map();
  await compiled(
    store2,
    ids.map(({ id: id3 }) => id3),
    (part, row) => {
      parts.set(row.id, part);
      rows.set(row.id, row);
    }
  );
  return shelfOf(
    parts,
    rows,
    groupBy(parts.values(), ({ kind }) => kind)
  );
}
async function compiled(store2, ids, take, specimens) {
  for (let i = 0; i < ids.length; i += AT_ONCE) {
    if (i > 0) await setImmediate2();
    const rows = await store2.readIn("part", "id", ids.slice(i, i + AT_ONCE));
    const idsOf = (list) => list.map((row) => row.id);
    const ports = await store2.readIn("port", "partId", idsOf(rows));
    const claims = groupBy(await store2.readIn("claim", "portId", idsOf(ports)), (row) => row.portId);
    const portsOf = groupBy(ports, (row) => row.partId);
    for (const row of rows) {
      const own3 = portsOf.get(row.id) ?? [];
      const [part] = toCoreParts(
        [row],
        own3,
        own3.flatMap((port2) => claims.get(port2.id) ?? [])
      );
      take(compilePart(part, specimens?.get(row.id)), row);
    }
  }
}
async function renewed(store2, shelf, stale) {
  const parts = new Map(shelf.parts);
  const rows = new Map(shelf.rows);
  const touched = /* @__PURE__ */ new Set();
  for (let ids = stale; ids.length > 0; ) {
    for (const id3 of ids) {
      touched.add(id3);
      parts.delete(id3);
      rows.delete(id3);
    }
    await compiled(store2, ids, (part, row) => {
      parts.set(row.id, part);
      rows.set(row.id, row);
    });
    const moved2 = ids.filter((id3) => parts.has(id3) !== shelf.parts.has(id3));
    for (const id3 of moved2) if (!parts.has(id3) && !await store2.isThere("part", id3)) asideOf(store2.root).delete(`part:${id3}`);
    ids = (await store2.readIn("part", "ownerId", moved2)).map((row) => row.id).filter((id3) => !touched.has(id3));
  }
  return shelfOf(byId(parts), byId(rows), relisted(shelf.kinds, shelf.parts, parts, touched));
}
function relisted(kinds2, before, now, touched) {
  const fresh = /* @__PURE__ */ new Map();
  for (const id3 of touched)
    for (const [part, isNow] of [
      [before.get(id3), false],
      [now.get(id3), true]
    ]) {
      if (!part) continue;
      const list = fresh.get(part.kind) ?? [];
      fresh.set(part.kind, list);
      if (isNow) list.push(part);
    }
  const relist = new Map(kinds2);
  for (const [kind, list] of fresh)
    relist.set(
      kind,
      [...(kinds2.get(kind) ?? []).filter(({ id: id3 }) => !touched.has(id3)), ...list].sort((p, q) => p.id < q.id ? -1 : 1)
    );
  return relist;
}
function byId(held2) {
  let last3 = "";
  for (const id3 of held2.keys()) {
    if (id3 < last3) return new Map([...held2].sort(([p], [q]) => p < q ? -1 : 1));
    last3 = id3;
  }
  return held2;
}
function shelfOf(parts, rows, kinds2) {
  let owners = null;
  return {
    parts,
    rows,
    kinds: kinds2,
    ownedBy(owner) {
      owners ??= groupBy(rows.values(), (row) => row.ownerId);
      return owners.get(owner) ?? [];
    }
  };
}
async function ownShelf(store2, buildId, over, rows) {
  const builds = kept2.get(store2.root).builds;
  const before = builds.get(buildId);
  const wanted3 = new Map(rows.flatMap((row) => over.parts.has(String(row.partId)) ? [[String(row.partId), row.id]] : []));
  if (before?.over === over && before.own.size === wanted3.size && [...wanted3].every(([part, specimen]) => before.own.get(part)?.specimen === specimen)) return before.shelf;
  const own3 = /* @__PURE__ */ new Map();
  const fresh = [];
  for (const [id3, specimen] of wanted3) {
    const held2 = before?.own.get(id3);
    if (held2?.specimen === specimen && held2.from === over.parts.get(id3)) own3.set(id3, held2);
    else fresh.push(id3);
  }
  await compiled(store2, fresh, (part, row) => own3.set(row.id, { specimen: wanted3.get(row.id), from: over.parts.get(row.id), row, part }), wanted3);
  const parts = new Map(over.parts);
  for (const [id3, { part }] of own3) parts.set(id3, part);
  const shelf = shelfOf(parts, over.rows, relisted(over.kinds, over.parts, parts, new Set(own3.keys())));
  builds.set(buildId, { over, own: own3, shelf });
  return shelf;
}

// core/sourcing/ids.ts
var kitId = (kit) => `kit:${kit}`;
var donorId = (donor) => `donor:${donor}`;

// server/services/trade.ts
var kept3 = /* @__PURE__ */ new WeakMap();
function keptOf(store2) {
  let held2 = kept3.get(store2.root);
  if (!held2) {
    const fresh = { pieces: /* @__PURE__ */ new Map(), supersessions: null, sellers: null };
    kept3.set(store2.root, held2 = fresh);
    onChange(store2.root, ({ touched }) => {
      if (touched.some((one) => one.startsWith("supersession:"))) fresh.supersessions = null;
    });
  }
  return held2;
}
async function loadTrade(store2) {
  const held2 = keptOf(store2);
  const names = ["kit", "kitItem", "donor", "donorItem", "supplier", "rate", "issuer"];
  const mirrors2 = await Promise.all(names.map((table2) => mirrored2(store2, table2)));
  const table = Object.fromEntries(names.map((name2, i) => [name2, mirrors2[i].list]));
  if (held2.supersessions?.epoch !== store2.epoch) {
    const rows = store2.read("supersession");
    held2.supersessions = { epoch: store2.epoch, rows };
    rows.catch(() => {
      held2.supersessions = null;
    });
  }
  const supersessions = await held2.supersessions.rows;
  const sellers = await sellersOf(store2, held2, table.supplier, table.kit);
  const once2 = (name2, madeOf, work) => {
    const found = held2.pieces.get(name2);
    if (found && found.madeOf.length === madeOf.length && found.madeOf.every((one, i) => one === madeOf[i])) return found.value;
    const value = work();
    held2.pieces.set(name2, { madeOf, value });
    return value;
  };
  const pieces = {
    supersessions: once2("supersessions", [supersessions, table.issuer], () => supersessionsOf(supersessions, table.issuer)),
    kits: once2("kits", [table.kit, table.kitItem], () => withItems(table.kit, table.kitItem, "kitId")),
    donors: once2("donors", [table.donor, table.donorItem], () => withItems(table.donor, table.donorItem, "donorId")),
    suppliers: sellers,
    rates: once2(
      "rates",
      [table.rate],
      () => table.rate.map((row) => ({ from: String(row.fromCurrency), to: String(row.toCurrency), rate: Number(row.rate), on: String(row.day) }))
    )
  };
  const suppliers = mirrors2[4];
  return once2("trade", Object.values(pieces), () => {
    const bundles = new Map([...pieces.kits.map(({ id: id3, name: name2 }) => [kitId(id3), name2]), ...pieces.donors.map(({ id: id3, name: name2 }) => [donorId(id3), name2])]);
    return { ...pieces, supplierName: (id3) => String(suppliers.rows.get(id3)?.name ?? id3), bundleName: (id3) => bundles.get(id3) ?? id3 };
  });
}
async function sellersOf(store2, held2, suppliers, kits2) {
  const { told } = store2;
  if (held2.sellers?.told === told) return held2.sellers.rows;
  const offering = await store2.knex("supplier").whereExists(store2.knex("offer").whereRaw("offer.supplier_id = supplier.id").select("id")).select("id");
  const ids = /* @__PURE__ */ new Set([...offering.map(({ id: id3 }) => id3), ...kits2.map((kit) => String(kit.supplierId))]);
  const rows = suppliers.filter((row) => ids.has(row.id));
  const before = held2.sellers?.rows;
  const isSame = before?.length === rows.length && before.every((row, i) => row === rows[i]);
  held2.sellers = { told, rows: isSame ? before : rows };
  return held2.sellers.rows;
}
function withItems(rows, items, column) {
  const groups = groupBy(items, (row) => row[column]);
  return rows.map((row) => ({ ...row, items: groups.get(row.id) ?? [] }));
}
function supersessionsOf(supersessions, issuers) {
  const rule3 = new Map(issuers.map((row) => [row.id, { upper: row.upper, noise: String(row.noise) }]));
  const numberOf = (issuer, number) => `${issuer}:${normaliseNumber(String(number), rule3.get(String(issuer)) ?? DEFAULT_RULE)}`;
  return supersessions.map((row) => ({ old: numberOf(row.issuerId, row.oldNumber), new: numberOf(row.issuerId, row.newNumber), oneWay: row.oneWay === true }));
}

// server/services/catalogue.ts
var catalogues = /* @__PURE__ */ new WeakMap();
async function loadCatalogue(store2, buildId) {
  if (store2.inTransaction) throw new Error("The catalogue is not read inside a transaction: plan before it.");
  const [shelf, trade, settings] = await Promise.all([compiledShelf(store2, buildId), loadTrade(store2), store2.find("setting", "tolerances")]);
  const tolerance = tolerancesOnce(JSON.stringify(settings?.value ?? {}));
  const madeOf = [shelf, trade, tolerance];
  let held2 = catalogues.get(store2.root);
  if (!held2) catalogues.set(store2.root, held2 = /* @__PURE__ */ new Map());
  const found = held2.get(buildId ?? "");
  if (found?.madeOf.every((one, i) => one === madeOf[i])) return found.catalogue;
  const catalogue = { ...shelf, ofKind: (kind) => shelf.kinds.get(kind) ?? [], trade, tolerances: tolerance };
  held2.set(buildId ?? "", { madeOf, catalogue });
  return catalogue;
}
var heldTolerances = /* @__PURE__ */ new Map();
function tolerancesOnce(settings) {
  const held2 = heldTolerances.get(settings) ?? tolerances(JSON.parse(settings));
  heldTolerances.set(settings, held2);
  return held2;
}
function fieldWords(kind, field) {
  return isPortKind(kind) ? own(PORT_KINDS[kind].fields, field) ?? null : null;
}

// server/services/settings.ts
async function readSettings(store2) {
  const rows = new Map((await store2.list("setting")).map((row) => [row.id, row.value]));
  return {
    units: rows.get("units") ?? {},
    tolerances: rows.get("tolerances") ?? {},
    timeZone: rows.get("timeZone") ?? Intl.DateTimeFormat().resolvedOptions().timeZone
  };
}

// server/services/day.ts
var shopDay = async (store2, at2 = /* @__PURE__ */ new Date()) => dayIn((await readSettings(store2)).timeZone, at2);

// server/services/parts.ts
var PORT_ORDER = Object.keys(PORT_KINDS);
async function addClaim(store2, input2) {
  return store2.transaction(async (tx) => {
    const { partId, kind, slot } = splitPort(input2.portId);
    const part = await tx.get("part", partId);
    const words3 = fieldWords(kind, input2.field);
    if (!words3) throw new UnprocessableError(`A ${kind} has no field "${input2.field}".`);
    const values = await readValues(tx, kind, words3, input2);
    if (input2.method && !Object.hasOwn(METHODS, input2.method)) throw new UnprocessableError(`"${input2.method}" is not a method. Use one of ${Object.keys(METHODS).join(", ")}.`);
    const port2 = await tx.find("port", input2.portId) ?? await tx.insert("port", { id: input2.portId, partId, kind, slot, looks: typedPorts(String(part.kind)).find((one) => one.kind === kind && one.slot === slot)?.looks ?? null });
    let specimenId = null;
    if (input2.thisVeryPart) {
      if (!input2.build) throw new UnprocessableError("Say in which build this very part is.");
      const held2 = (await tx.list("specimen", { buildId: input2.build, partId }))[0];
      specimenId = (held2 ?? await tx.insert("specimen", { buildId: input2.build, partId, name: "In this build" })).id;
    }
    const claims = [];
    const today = await shopDay(tx);
    for (const [field, value] of Object.entries(values))
      claims.push(
        await tx.insert("claim", {
          portId: port2.id,
          field,
          value,
          plusMinus: input2.plusMinus ?? null,
          grade: input2.grade,
          method: input2.method ?? null,
          source: input2.source ?? null,
          saidBy: input2.by ?? null,
          day: input2.day ?? today,
          specimenId,
          typed: input2.typed ?? printTyped(fieldWords(kind, field), value)
        })
      );
    await rebuildPortValues(tx, partId);
    return claims.find((claim2) => claim2.field === input2.field) ?? claims[0];
  });
}
async function readValues(store2, kind, words3, input2) {
  const units = (await store2.find("setting", "units"))?.value ?? {};
  const fields = PORT_KINDS[kind].fields;
  try {
    const values = input2.typed === void 0 ? { [input2.field]: input2.value } : parseFields(fields, input2.field, input2.typed, { units, decimal: input2.decimal });
    for (const [name2, value] of Object.entries(values)) {
      const checked = fields[name2].schema.safeParse(value);
      if (!checked.success) throw new QuantityError(`${words3.label}: ${checked.error.issues[0]?.message}`);
      values[name2] = checked.data;
    }
    return values;
  } catch (error) {
    if (error instanceof QuantityError) throw new UnprocessableError(error.message, [{ path: "typed", message: error.message }]);
    throw error;
  }
}
function splitPort(id3) {
  const [partId, kind, ...slot] = id3.split("/");
  if (!partId || partId === "?" || !kind || !Object.hasOwn(PORT_KINDS, kind))
    throw new UnprocessableError(partId === "?" ? "That piece is not named yet: add it in Catalogue first, then measure it." : `"${id3}" is not a port id (part/kind/slot).`);
  return { partId, kind, slot: slot.join("/") || "main" };
}
async function onePart(store2, partId) {
  const part = await store2.get("part", partId);
  const ports = await store2.list("port", { partId });
  const claims = await store2.listIn(
    "claim",
    "portId",
    ports.map((port2) => port2.id)
  );
  return compilePart(toCoreParts([part], ports, claims)[0]);
}
async function rebuildPortValues(store2, partId) {
  const ports = await store2.list("port", { partId });
  await store2.knex("portValue").whereIn(
    "portId",
    ports.map((port2) => port2.id)
  ).delete();
  const rows = (await onePart(store2, partId)).ports.flatMap(
    (port2) => Object.keys(PORT_KINDS[port2.kind].fields).flatMap((field) => {
      const { v, claim: claim2 } = port2[field];
      return claim2 === null ? [] : [{ portId: port2.id, field, number: typeof v === "number" ? v : null, text: typeof v === "number" ? null : typeof v === "string" ? v : JSON.stringify(v), claimId: claim2 }];
    })
  );
  for (let i = 0; i < rows.length; i += 100) await store2.knex("portValue").insert(rows.slice(i, i + 100));
}

// server/services/build-document.ts
function plain3(row) {
  return Object.fromEntries(
    Object.entries(row).filter(([key, value]) => key !== "version" && value !== null && value !== void 0).sort(([p], [q]) => p < q ? -1 : 1)
  );
}
async function importBuild(store2, batches) {
  const tables = new Map(TABLE_NAMES.map((table) => [table, []]));
  for await (const { table, rows } of batches) tables.get(table).push(...rows);
  return store2.transaction(async (tx) => {
    const differing = [];
    const absent = [];
    for (const [table, rows] of tables) {
      const held2 = await heldRows(
        tx,
        table,
        rows.map((row) => String(row.id))
      );
      absent.push([table, rows.filter((row) => !held2.has(String(row.id)))]);
      for (const row of rows) {
        const other2 = held2.get(String(row.id));
        if (other2 && JSON.stringify(plain3(other2)) !== JSON.stringify(plain3(row)))
          differing.push({ path: `${table}/${row.id}`, message: `${table} ${row.name ?? row.id} is here with other content` });
      }
    }
    if (differing.length > 0)
      throw new ConflictError("Some of it is here already with other content: nothing was read. Read it into an empty copy, or make both alike first.", { errors: differing });
    const loose3 = await looseEnds(tx, tables);
    if (loose3.length > 0) throw new UnprocessableError(`The document does not hold together: nothing was read. First: ${loose3[0].path}: ${loose3[0].message}`, loose3);
    for (const [table, rows] of absent) await insertAll(tx, table, rows);
    for (const part of new Set(tables.get("port").map((port2) => String(port2.partId)))) await rebuildPortValues(tx, part);
    return { builds: tables.get("build").map((row) => String(row.id)), added: absent.reduce((sum, [, rows]) => sum + rows.length, 0) };
  });
}
var importDocument = (store2, document) => importBuild(store2, readBuildDocument(document));
var heldRows = async (store2, table, ids) => new Map((await store2.listIn(table, "id", ids)).map((row) => [row.id, row]));
async function looseEnds(store2, tables) {
  const faults = [];
  for (const [table, rows] of tables)
    for (const [column, target] of Object.entries(shapeOf(table).refs ?? {})) {
      const own3 = new Set(tables.get(target).map((row) => row.id));
      const wanted3 = rows.filter((row) => typeof row[column] === "string" && !own3.has(row[column]));
      const held2 = await heldRows(store2, target, [...new Set(wanted3.map((row) => String(row[column])))]);
      for (const row of wanted3)
        if (!held2.has(String(row[column]))) faults.push({ path: `${table}/${row.id}/${column}`, message: `There is no ${target} "${row[column]}", in the document or here.` });
    }
  const owner = new Map(tables.get("part").map((row) => [row.id, row.ownerId]));
  for (const row of tables.get("part")) {
    const seen = /* @__PURE__ */ new Set([row.id]);
    for (let above = owner.get(row.id); above !== void 0 && above !== null; above = owner.get(above)) {
      if (seen.has(above)) {
        if (above === row.id) faults.push({ path: `part/${row.id}/ownerId`, message: "The part came with itself, through others." });
        break;
      }
      seen.add(above);
    }
  }
  return faults.slice(0, 300);
}
async function insertAll(store2, table, rows) {
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))];
  const even2 = (table === "part" ? ownersFirst(rows) : rows).map((row) => Object.fromEntries(columns.map((column) => [column, row[column] ?? null])));
  try {
    await store2.insertMany(table, even2);
  } catch (error) {
    if (!brokenRule(error)) throw error;
    for (const row of even2) {
      if (await store2.knex(table).where({ id: row.id }).first("id")) continue;
      try {
        await store2.insertMany(table, [row]);
      } catch (fault) {
        const broken = brokenRule(fault);
        if (!broken) throw fault;
        const path = [table, row.id, broken.field].filter(Boolean).join("/");
        throw new UnprocessableError(`The document does not go together with what is here: nothing was read. ${path}: ${broken.message}`, [{ path, message: broken.message }]);
      }
    }
  }
}
function ownersFirst(rows) {
  const byId2 = new Map(rows.map((row) => [row.id, row]));
  const placed3 = /* @__PURE__ */ new Set();
  const sorted = [];
  for (const row of rows) {
    const chain = [];
    for (let one = row; one && !placed3.has(one.id); one = byId2.get(one.ownerId)) {
      placed3.add(one.id);
      chain.push(one);
    }
    sorted.push(...chain.reverse());
  }
  return sorted;
}

// core/pairing/order.ts
var effective = ({ bare, closed }) => closed ?? bare;
var WEIGHTS = { fits: 0, work: 1, unmeasured: 6, bridge: 12, clash: 100 };
var weight = ({ joints }) => joints.reduce((sum, { code, closed }) => sum + WEIGHTS[closed ?? code], 0);
var byPromise = (p, q) => Number(q.chosen) - Number(p.chosen) || weight(p) - weight(q) || (p.engine < q.engine ? -1 : p.engine > q.engine ? 1 : 0);

// core/joints/judging/owner.ts
var UnsplitError = class extends Error {
  name = "UnsplitError";
};
function ownerOf(scene, isEngines) {
  const by2 = (part) => isEngines(part) ? 0 : 1;
  const together = (one, other2) => {
    if (one !== other2) throw new UnsplitError("A value is chosen between what the engine and what the gearbox brings.");
    return one;
  };
  const parts = scene.stack.map((part) => by2(part.id));
  const read = (one) => {
    const own3 = leaf(one);
    return (one.only ?? []).reduce((owner, gate) => "word" in gate ? together(owner, read(gate.word)) : owner, own3);
  };
  const leaf = ({ source }) => {
    switch (source.at) {
      case "side":
        return by2(fieldAt(scene, source).at.part);
      case "head":
        return by2(portAt(scene, source.side, source.slot).part);
      case "each":
        return by2(scene.each.part);
      case "item":
      case "known":
        return read(source.of);
      case "computed":
        return Object.values(source.measure.reads).map(read).reduce(together);
      case "either":
        return together(read(source.one), read(source.other));
      case "sum": {
        const owners = source.terms.map(({ of }) => read(of));
        return owners.every((owner) => owner === owners[0]) ? owners[0] ?? 0 : null;
      }
      case "stack":
        return parts.includes(1) ? parts.includes(0) ? null : 1 : 0;
    }
  };
  const known5 = /* @__PURE__ */ new Map();
  const remembered2 = (one) => {
    let owner = known5.get(one);
    if (owner === void 0) known5.set(one, owner = read(one));
    return owner;
  };
  return { read: remembered2, part: (index) => parts[index] };
}

// core/pairing/part-index.ts
var memory2 = /* @__PURE__ */ new WeakMap();
function indexOf(part) {
  let index = memory2.get(part);
  if (!index) memory2.set(part, index = build(part));
  return index;
}
function build(part) {
  const first = (kind, looks) => part.ports.find((port2) => port2.kind === kind && (looks === void 0 || port2.looks === looks));
  const placed3 = /* @__PURE__ */ new Map();
  for (const port2 of part.ports) {
    if (port2.kind === "ratings" || port2.kind === "pilot-bore" || port2.kind === "crank-flange") continue;
    const slot = SLOTS[port2.kind];
    if (!placed3.get(slot)?.present) placed3.set(slot, port2);
  }
  return {
    hasPlate: first("plate") !== void 0,
    hasFace: first("face") !== void 0,
    hasSpacer: first("spacer") !== void 0,
    frontFace: first("face", "forward") ?? PORT_KINDS.face.missing,
    rearFace: first("face", "rearward") ?? PORT_KINDS.face.missing,
    plate: first("plate") ?? PORT_KINDS.plate.missing,
    spacer: first("spacer") ?? PORT_KINDS.spacer.missing,
    crankFlange: first("crank-flange") ?? PORT_KINDS["crank-flange"].missing,
    flywheel: first("flywheel") ?? PORT_KINDS.flywheel.missing,
    flangeBolts: first("flange-bolts") ?? PORT_KINDS["flange-bolts"].missing,
    pilotBore: first("pilot-bore") ?? null,
    ratings: part.ports.filter((port2) => port2.kind === "ratings"),
    placed: [...placed3].map(([slot, port2]) => ({ slot, port: port2 }))
  };
}

// core/pairing/train.ts
var REPLACED = /* @__PURE__ */ new Set(["flywheel", "flexplate", "pilot", "starter", "cover", "disc", "release-bearing", "converter", "separator", "sump"]);
var WHEELS = /* @__PURE__ */ new Set(["flywheel", "flexplate"]);
function effectiveCoupling({ coupling: coupling2, inserted }) {
  if (inserted.length === 0) return coupling2;
  const replaces = (part) => inserted.some((other2) => REPLACED.has(other2.kind) && (other2.kind === part.kind || WHEELS.has(other2.kind) && WHEELS.has(part.kind)));
  return [...coupling2.filter((part) => !replaces(part)), ...inserted.filter((part) => REPLACED.has(part.kind))];
}
function assemble(train) {
  const coupling2 = effectiveCoupling(train);
  const plates2 = [];
  const spacers2 = [];
  let wheel2;
  const a2 = copyOf(sideOfEngine(train.engine));
  const b2 = copyOf(sideOfGearbox(train.transmission, train.transfer ?? null, train.recipient));
  for (const part of coupling2) {
    const index = indexOf(part);
    if (index.hasPlate) plates2.push(part);
    else placeOver(part.kind === "sump" ? a2 : b2, index);
    if (index.hasSpacer) spacers2.push(part);
    if (wheel2 === void 0 && WHEELS.has(part.kind)) wheel2 = part;
  }
  for (const part of train.inserted) {
    if (REPLACED.has(part.kind)) continue;
    if (indexOf(part).hasPlate) plates2.push(part);
    if (indexOf(part).hasSpacer) spacers2.push(part);
  }
  const engine2 = indexOf(train.engine);
  a2.pilotBore = boreOf(engine2, spacers2, wheel2);
  const box3 = indexOf(train.transmission);
  const whole = [{ at: "", a: a2, b: b2 }];
  return {
    stack: plates2.length + spacers2.length === 0 ? NOTHING : [...plates2, ...spacers2],
    meetings: {
      whole,
      faces: plates2.length === 0 ? whole : faceMeetings(train, plates2),
      flanges: spacers2.length === 0 ? whole : flangeMeetings(train.engine, spacers2, wheel2),
      case: train.transfer ? caseMeeting(a2, b2, box3, indexOf(train.transfer)) : NO_MEETING
    }
  };
}
var NO_MEETING = [];
var engineSides = /* @__PURE__ */ new WeakMap();
var gearboxSides = /* @__PURE__ */ new WeakMap();
var copyOf = (side2) => ({ ...side2 });
function sideOfEngine(part) {
  let side2 = engineSides.get(part);
  if (!side2) {
    side2 = emptySide();
    const index = indexOf(part);
    place5(side2, index);
    side2.crankFlange = index.crankFlange;
    engineSides.set(part, side2);
  }
  return side2;
}
function sideOfGearbox(part, transfer3, recipient) {
  const held2 = gearboxSides.get(part);
  if (held2 && held2.transfer === transfer3 && held2.recipient === recipient) return held2.side;
  const side2 = emptySide();
  place5(side2, indexOf(part));
  side2.face = indexOf(part).frontFace;
  if (transfer3) behind(side2, indexOf(transfer3));
  if (recipient) place5(side2, indexOf(recipient));
  gearboxSides.set(part, { transfer: transfer3, recipient, side: side2 });
  return side2;
}
function placeOver(side2, index) {
  const slots = side2;
  for (let i = 0; i < index.placed.length; i++) {
    const { slot, port: port2 } = index.placed[i];
    if (port2.present || slots[slot].part === "?") slots[slot] = port2;
  }
  if (index.ratings.length > 0) side2.ratings = side2.ratings.length === 0 ? index.ratings : [...index.ratings, ...side2.ratings];
}
function behind(b2, transfer3) {
  for (const { slot, port: port2 } of transfer3.placed) if (slot !== "face" && !(slot === "speedDrive" && !port2.present)) b2[slot] = port2;
  b2.ratings = [...b2.ratings, ...transfer3.ratings];
}
function caseMeeting(a2, b2, box3, transfer3) {
  return [{ at: "", a: { ...a2, face: box3.rearFace }, b: { ...b2, face: transfer3.frontFace } }];
}
var NOTHING = [];
function place5(side2, index) {
  const slots = side2;
  for (let i = 0; i < index.placed.length; i++) {
    const { slot, port: port2 } = index.placed[i];
    if (!slots[slot].present) slots[slot] = port2;
  }
  if (index.ratings.length > 0) side2.ratings = side2.ratings.length === 0 ? index.ratings : [...side2.ratings, ...index.ratings];
}
function boreOf(engine2, spacers2, wheel2) {
  for (const spacer2 of spacers2) {
    const bore = indexOf(spacer2).pilotBore;
    if (bore) return bore;
  }
  return (wheel2 && indexOf(wheel2).pilotBore) ?? engine2.pilotBore ?? emptySide().pilotBore;
}
function faceMeetings(train, plates2) {
  const meetings = [];
  let previous = train.engine;
  const meet2 = (next, at2) => {
    const a2 = emptySide();
    const b2 = emptySide();
    a2.face = indexOf(previous).rearFace;
    b2.face = indexOf(next).frontFace;
    meetings.push({ at: at2, a: a2, b: b2 });
    previous = next;
  };
  const patterned = plates2.length > 0 && plates2.some((part) => indexOf(part).hasFace);
  for (const plate3 of plates2) if (indexOf(plate3).hasFace) meet2(plate3, `${previous.name} to ${plate3.name}`);
  meet2(train.transmission, patterned ? `${previous.name} to ${train.transmission.name}` : "");
  return meetings;
}
function flangeMeetings(engine2, spacers2, wheel2) {
  const meetings = [];
  const missing = emptySide();
  const wheelBolts = wheel2 ? indexOf(wheel2).flangeBolts : missing.flangeBolts;
  const longer = spacers2.find((part) => indexOf(part).flangeBolts.present);
  const bolts2 = longer ? { ...indexOf(longer).flangeBolts, clampedMm: wheelBolts.clampedMm } : wheelBolts;
  let previous = engine2;
  const meet2 = (next, at2) => {
    const a2 = emptySide();
    const b2 = emptySide();
    a2.crankFlange = indexOf(previous).crankFlange;
    b2.flywheel = next ? indexOf(next).flywheel : missing.flywheel;
    b2.flangeBolts = bolts2;
    meetings.push({ at: at2, a: a2, b: b2 });
    if (next) previous = next;
  };
  for (const spacer2 of spacers2) meet2(spacer2, `${previous.name} to ${spacer2.name}`);
  meet2(wheel2, spacers2.length > 0 ? `${previous.name} to ${wheel2?.name ?? "wheel"}` : "");
  return meetings;
}
var contextOf = (assembly, ctx) => ({ stack: assembly.stack, tolerances: ctx.tolerances, use: ctx.use, placement: ctx.placement });
var scenesOf = (joint, assembly, ctx) => assembly.meetings[joint.meets].map(({ at: at2, a: a2, b: b2 }) => ({ at: at2, a: a2, b: b2, stack: assembly.stack, shop: ctx, each: null, item: null }));
function recordJoint(joint, assembly, ctx) {
  const recorder = new Recorder();
  const applied = scenesOf(joint, assembly, ctx).filter((scene) => recorder.add(joint, scene, scene.at));
  return applied.length > 0 ? recorder.verdict(joint.id) : null;
}
var tallyJoint = (joint, assembly, ctx, tally) => scenesOf(joint, assembly, ctx).filter((scene) => tally.add(joint, scene)).length > 0;

// core/pairing/sweep.ts
var NOT_MET = 255;
var packed = (stated, known5, agreed, outside) => (stated | known5 << 8 | agreed << 16 | outside << 24) >>> 0;
function sweep(engines, gearboxes, ctx) {
  const size2 = engines.length * gearboxes.length;
  const results = JOINTS.map(
    (joint) => ({ joint, code: new Uint8Array(size2).fill(NOT_MET), counts: new Uint32Array(size2), weakest: new Uint8Array(size2).fill(NO_GRADE) })
  );
  const rows = classesOf(engines, ({ engine: engine2, coupling: coupling2 }) => `${shapeOf2(engine2)}|${coupling2.map(shapeOf2).join("|")}`);
  const columns = classesOf(
    gearboxes,
    ({ transmission, coupling: coupling2, transfer: transfer3, recipient }) => [transmission, ...coupling2, transfer3, recipient].map((part) => part ? shapeOf2(part) : "\u2013").join("|")
  );
  for (const row of rows) {
    const kept6 = /* @__PURE__ */ new Map();
    for (const column of columns) {
      const block = new Block(engines, gearboxes, row, column, ctx, kept6);
      for (const result of results)
        try {
          block.split(result);
        } catch (error) {
          if (!(error instanceof UnsplitError)) throw error;
          block.whole(result);
        }
    }
  }
  return results;
}
var trainOfEnds = ({ engine: engine2, coupling: coupling2 }, { transmission, coupling: behind2, transfer: transfer3, recipient }) => ({
  engine: engine2,
  transmission,
  recipient,
  transfer: transfer3,
  coupling: couplingSet(transmission, coupling2, behind2).parts,
  inserted: []
});
function classesOf(ends, key) {
  const classes = /* @__PURE__ */ new Map();
  ends.forEach((end2, index) => {
    const name2 = key(end2);
    const held2 = classes.get(name2);
    if (held2) held2.push(index);
    else classes.set(name2, [index]);
  });
  return [...classes.values()];
}
var shapes = /* @__PURE__ */ new WeakMap();
function shapeOf2(part) {
  let shape = shapes.get(part);
  if (shape === void 0) {
    shape = `${part.kind}(${part.ports.map((port2) => `${port2.kind}/${port2.slot}/${port2.looks}/${port2.present ? 1 : 0}${detailOf(port2)}`).join()})`;
    shapes.set(part, shape);
  }
  return shape;
}
function detailOf(port2) {
  const fields = port2;
  if (port2.kind === "ratios") return `:${String(fields["type"].v)}`;
  const lists = Object.values(fields).filter((field) => typeof field === "object" && field?.at?.words?.type === "zones");
  return lists.map(({ v }) => `:${v === null ? "?" : v.length}`).join("");
}
var Block = class {
  constructor(engines, gearboxes, rows, columns, ctx, kept6) {
    this.engines = engines;
    this.gearboxes = gearboxes;
    this.rows = rows;
    this.columns = columns;
    this.ctx = ctx;
    this.kept = kept6;
    const engine2 = engines[rows[0]];
    this.#first = assemble(trainOfEnds(engine2, gearboxes[columns[0]]));
    const own3 = new Set([engine2.engine, ...engine2.coupling].map(({ id: id3 }) => id3));
    this.#isEngines = (part) => own3.has(part);
    this.#rowsAt = rows.map((row) => row * gearboxes.length);
  }
  engines;
  gearboxes;
  rows;
  columns;
  ctx;
  kept;
  #first;
  #isEngines;
  /** Where the row of each engine starts. */
  #rowsAt;
  #scenes = /* @__PURE__ */ new Map();
  #result = blankResult();
  #tally = new Tally();
  /** The scenes of every engine with the first gearbox, or of every gearbox with the first engine, looked up when asked. */
  #scenesOf(joint, which) {
    const key = `${joint.meets} ${which}`;
    let scenes = this.#scenes.get(key);
    if (!scenes) {
      const [engine2, gearbox2] = [this.engines[this.rows[0]], this.gearboxes[this.columns[0]]];
      const trains2 = which === 0 ? this.rows.map((row) => trainOfEnds(this.engines[row], gearbox2)) : this.columns.map((column) => trainOfEnds(engine2, this.gearboxes[column]));
      scenes = trains2.map((train) => {
        const assembly = assemble(train);
        return scenesOf(joint, assembly, contextOf(assembly, this.ctx));
      });
      this.#scenes.set(key, scenes);
    }
    return scenes;
  }
  /** Judges a joint by halves. @throws UnsplitError where a value leans on both ends; what is written then is written over */
  split(result) {
    const { joint } = result;
    scenesOf(joint, this.#first, contextOf(this.#first, this.ctx)).forEach((scene, meeting) => {
      const ends = (which) => this.#scenesOf(joint, which).map((each) => each[meeting]);
      const isMet = this.#meet(joint, scene, ends, result.code);
      if (!isMet.includes(1)) return;
      const write = new Writer(result, isMet);
      for (const limit of joint.limits)
        instancesOf(limit, scene).forEach((instance, k) => {
          this.#judge(limit, instance.scene, limit.each ? (which) => ends(which).map((one) => instancesOf(limit, one)[k].scene) : ends, write);
        });
    });
  }
  /** Judges a joint pair by pair. */
  whole({ joint, code, counts: counts3, weakest }) {
    for (const row of this.rows)
      for (const column of this.columns) {
        const at2 = row * this.gearboxes.length + column;
        const assembly = assemble(trainOfEnds(this.engines[row], this.gearboxes[column]));
        const tally = this.#tally.reset();
        code[at2] = tallyJoint(joint, assembly, contextOf(assembly, this.ctx), tally) ? tally.code : NOT_MET;
        counts3[at2] = packed(tally.stated, tally.known, tally.agreed, tally.outside);
        weakest[at2] = tally.weakest;
      }
  }
  /** Judges one limit for every pair of the block where it is stated. */
  #judge(limit, scene, ends, write) {
    const plan = planOf(limit);
    const { ours, theirs } = this.#halves(plan, scene, ends);
    if (ours.length === 0 || theirs.length === 0) return;
    const one = ours.map(({ half: half2 }) => plan.figures(half2, 0, this.ctx));
    const other2 = one.includes(null) ? [] : theirs.map(({ half: half2 }) => plan.figures(half2, 1, this.ctx));
    if (other2.length > 0 && !other2.includes(null)) this.#add(plan, ours, theirs, one, other2, write);
    else this.#judgeEach(plan, ours, theirs, write);
  }
  /** Where figures add, each pair is a sum against a window. */
  #add(plan, ours, theirs, one, other2, write) {
    const isDamage = plan.limit.damage === true;
    const m = { ...one[0] };
    for (let i = 0; i < ours.length; i++) {
      const row = ours[i];
      const p = one[i];
      for (let j = 0; j < theirs.length; j++) {
        const column = theirs[j];
        const q = other2[j];
        const weakest = Math.min(row.half.weakest, column.half.weakest);
        let code = UNMEASURED;
        let count3 = STATED;
        if (row.half.isKnown && column.half.isKnown) {
          m.value = p.value + q.value;
          m.low = p.low + q.low;
          m.high = p.high + q.high;
          if (isDamage) {
            m.down = p.down + q.down;
            m.up = p.up + q.up;
            m.lowLeast = p.lowLeast + q.lowLeast;
            m.lowMost = p.lowMost + q.lowMost;
            m.highLeast = p.highLeast + q.highLeast;
            m.highMost = p.highMost + q.highMost;
          }
          if (!Number.isNaN(m.value) && !Number.isNaN(m.low) && !Number.isNaN(m.high)) {
            const standing = judge(m, isDamage);
            count3 = STATED + KNOWN;
            if (standing === "agrees") {
              code = FITS;
              count3 += AGREED;
            } else if (standing === "under") code = plan.codeOf(true, m.low - m.value, this.ctx);
            else if (standing === "over") code = plan.codeOf(false, m.value - m.high, this.ctx);
            if (isOutside(m)) count3 += OUTSIDE;
          }
        }
        write.all(row.members, column.members, code, count3, weakest);
      }
    }
  }
  #judgeEach(plan, ours, theirs, write) {
    const { ctx } = this;
    const out2 = this.#result;
    const { rows, columns, first, second } = turned(ours, theirs);
    for (const row of rows) {
      plan.load(first, row.half, ctx, false);
      for (const column of columns) {
        plan.load(second, column.half, ctx, true).judge(ctx, out2, false, row.isStated || column.isStated);
        if (out2.isStated)
          write.all(row.members, column.members, out2.code, STATED + (out2.isKnown ? KNOWN : 0) + (out2.agreed ? AGREED : 0) + (out2.outside ? OUTSIDE : 0), out2.weakest);
      }
    }
  }
  /** Where a joint is met at all. */
  #meet(joint, scene, ends, code) {
    const plan = planOf(appliesAs(joint));
    const isMet = new Uint8Array(code.length);
    const { ours, theirs } = this.#halves(plan, scene, ends);
    for (const our of ours) {
      plan.load(0, our.half, this.ctx);
      for (const their of theirs) {
        if (!plan.load(1, their.half, this.ctx).judge(this.ctx, this.#result).isStated) continue;
        for (const row of our.members)
          for (const column of their.members) {
            isMet[row + column] = 1;
            if (code[row + column] === NOT_MET) code[row + column] = FITS;
          }
      }
    }
    return isMet;
  }
  #halves(plan, scene, ends) {
    const owner = ownerOf(scene, this.#isEngines);
    const part = plan.part(owner, 0);
    const signature = part.signature(scene);
    const before = this.kept.get(plan) ?? [];
    let ours = before.find((one) => one.signature.length === signature.length && one.signature.every((value, i) => Object.is(value, signature[i])))?.held;
    if (!ours) {
      ours = this.#distinct(plan, part, scene, () => ends(0), this.#rowsAt);
      this.kept.set(plan, [...before, { signature, held: ours }]);
    }
    return { ours, theirs: this.#distinct(plan, plan.part(owner, 1), scene, () => ends(1), this.columns) };
  }
  /** What the ends of one side bring to a limit, each distinct set of values once, with where the ends that bring it stand. */
  #distinct(plan, part, scene, ends, places) {
    if (part.isEmpty) {
      const half2 = part.half(scene);
      const isStated = plan.states(half2, this.ctx);
      return isStated === false ? [] : [{ half: half2, isStated: isStated === true, members: places }];
    }
    const scenes = ends();
    const found = [];
    const byKey = /* @__PURE__ */ new Map();
    for (let member = 0; member < scenes.length; member++) {
      const half2 = part.half(scenes[member]);
      const isStated = plan.states(half2, this.ctx);
      if (isStated === false) continue;
      const members = [places[member]];
      if (!plan.isPlainSum) {
        const key = keyOf(half2);
        const held2 = byKey.get(key);
        if (held2) {
          held2.push(places[member]);
          continue;
        }
        byKey.set(key, members);
      }
      found.push({ half: half2, isStated: isStated === true, members });
    }
    return found;
  }
};
var STATED = 1;
var KNOWN = 1 << 8;
var AGREED = 1 << 16;
var OUTSIDE = 2 ** 24;
var writesOf = ({ main }) => main.reduce((sum, { list, isWhole, isNone }) => sum + (isWhole || isNone ? 0 : list.filter((input2) => input2 !== null).length), 0);
function turned(ours, theirs) {
  const isTurned = writesOf(theirs[0].half) > writesOf(ours[0].half);
  return isTurned ? { rows: theirs, columns: ours, first: 1, second: 0 } : { rows: ours, columns: theirs, first: 0, second: 1 };
}
var Writer = class {
  constructor({ code, counts: counts3, weakest }, isMet) {
    this.isMet = isMet;
    this.#code = code;
    this.#counts = counts3;
    this.#weakest = weakest;
  }
  isMet;
  #code;
  #counts;
  #weakest;
  all(rows, columns, code, count3, weakest) {
    for (let i = 0; i < rows.length; i++) {
      const row = rows[i];
      for (let j = 0; j < columns.length; j++) {
        const at2 = row + columns[j];
        if (this.isMet[at2] === 0) continue;
        if (code > this.#code[at2]) this.#code[at2] = code;
        if (weakest < this.#weakest[at2]) this.#weakest[at2] = weakest;
        this.#counts[at2] += count3;
      }
    }
  }
};
var guards = /* @__PURE__ */ new WeakMap();
function appliesAs(joint) {
  let guard = guards.get(joint);
  if (!guard) guards.set(joint, guard = { id: joint.id, label: joint.title, unit: "", when: joint.applies, holds: formula({}, () => true) });
  return guard;
}
function keyOf({ isKnown: isKnown2, weakest, sum, pm, guards: guards2, main, rungs, asks }) {
  let key = `${isKnown2 ? 1 : 0}${weakest} ${sum} ${pm}`;
  const add = (list) => {
    for (const input2 of list)
      if (input2) key += `|${typeof input2.v === "object" && input2.v !== null ? `#${contentNumber(input2.v)}` : input2.v} ${input2.pm}${input2.claim === null ? "?" : ""}`;
  };
  for (const { list } of guards2) add(list);
  for (const { list } of main) add(list);
  for (const { list } of rungs) add(list);
  for (const input2 of asks) if (input2) key += `|${input2.v} ${input2.grade}`;
  return key;
}

// core/pairing/rank.ts
var WEIGHTS2 = { fits: 0, work: 1, bridge: 4, unmeasured: 5, clash: 100 };
var FEW = 100;
function weighPairs(engines, gearboxes, ctx, few = FEW) {
  const weights = new Float64Array(engines.length * gearboxes.length);
  if (weights.length <= few) {
    engines.forEach((engine2, row) => {
      gearboxes.forEach((gearbox2, column) => {
        weights[row * gearboxes.length + column] = weightOf(engine2, gearbox2, ctx);
      });
    });
    return weights;
  }
  for (const { code } of sweep(engines, gearboxes, ctx))
    for (let at2 = 0; at2 < code.length; at2++) {
      const found = code[at2];
      if (found !== NOT_MET) weights[at2] += WEIGHTS2[CODES[found]];
    }
  return weights;
}
function weightOf(engine2, gearbox2, ctx) {
  const assembly = assemble(trainOfEnds(engine2, gearbox2));
  const full = contextOf(assembly, ctx);
  const tally = new Tally();
  let weight2 = 0;
  for (const joint of JOINTS) if (tallyJoint(joint, assembly, full, tally.reset())) weight2 += WEIGHTS2[CODES[tally.code]];
  return weight2;
}
var PairWeights = class {
  #before = null;
  weigh(engines, gearboxes, ctx) {
    const before = this.#before && isSameContext(this.#before.ctx, ctx) ? this.#before : null;
    const rows = engines.map((end2) => before?.engines.findIndex((one) => isSameEngine(one, end2)) ?? -1);
    const columns = gearboxes.map((end2) => before?.gearboxes.findIndex((one) => isSameGearbox(one, end2)) ?? -1);
    const width = gearboxes.length;
    const weights = new Float64Array(engines.length * width);
    const fill = (some, others) => {
      if (some.length === 0 || others.length === 0) return;
      const found = weighPairs(
        some.map((row) => engines[row]),
        others.map((column) => gearboxes[column]),
        ctx
      );
      some.forEach((row, i) => {
        others.forEach((column, j) => {
          weights[row * width + column] = found[i * others.length + j];
        });
      });
    };
    const places = (known5, isKnown2) => known5.flatMap((at2, place6) => at2 >= 0 === isKnown2 ? [place6] : []);
    fill(
      places(rows, false),
      gearboxes.map((_, column) => column)
    );
    fill(places(rows, true), places(columns, false));
    if (before)
      for (const row of places(rows, true))
        for (const column of places(columns, true)) weights[row * width + column] = before.weights[rows[row] * before.gearboxes.length + columns[column]];
    this.#before = { engines, gearboxes, ctx, weights };
    return weights;
  }
};
var isSameContext = (one, other2) => one.tolerances === other2.tolerances && one.use === other2.use && one.placement === other2.placement;
var isSameList = (one, other2) => one.length === other2.length && one.every((part, i) => part === other2[i]);
var isSameEngine = (one, other2) => one.engine === other2.engine && isSameList(one.coupling, other2.coupling);
var isSameGearbox = (one, other2) => one.transmission === other2.transmission && one.transfer === other2.transfer && one.recipient === other2.recipient && isSameList(one.coupling, other2.coupling);

// core/joints/judging/inputs.ts
var known4 = /* @__PURE__ */ new WeakMap();
function inputsOf2(joint) {
  let found = known4.get(joint);
  if (!found) known4.set(joint, found = gather2(joint));
  return found;
}
function gather2(joint) {
  const slots = /* @__PURE__ */ new Set();
  let [stack, ratings2] = [false, false];
  const gate = (one) => {
    if ("word" in one) read(one.word);
    else if ("slot" in one) slots.add(one.slot);
  };
  const read = ({ source, only = [] }) => {
    only.forEach(gate);
    switch (source.at) {
      case "side":
      case "head":
        slots.add(source.slot);
        return;
      case "stack":
        stack = true;
        return;
      case "each":
        ratings2 = true;
        return;
      case "item":
      case "known":
        return read(source.of);
      case "sum":
        return source.terms.forEach(({ of }) => void read(of));
      case "computed":
        return Object.values(source.measure.reads).forEach(read);
      case "either":
        read(source.one);
        read(source.other);
    }
  };
  Object.values(joint.applies.reads).forEach(read);
  for (const limit of joint.limits) {
    const { needed, sometimes } = readsOf(limit);
    for (const one of [...needed, ...sometimes]) read(one);
    if (limit.each && "ratings" in limit.each) ratings2 = true;
    else if (limit.each) read(limit.each.list);
  }
  return { slots: [...slots], stack, ratings: ratings2 };
}

// core/pairing/outcomes.ts
var serials = /* @__PURE__ */ new WeakMap();
var last2 = 0;
function serial(one) {
  let found = serials.get(one);
  if (found === void 0) serials.set(one, found = ++last2);
  return found;
}
function lookOf(joint, assembly) {
  const { slots, stack, ratings: ratings2 } = inputsOf2(joint);
  let look = "";
  for (const { a: a2, b: b2 } of assembly.meetings[joint.meets])
    for (const side2 of [a2, b2]) {
      for (const slot of slots) look += `${serial(side2[slot])} `;
      if (ratings2) for (const rating2 of side2.ratings) look += `r${serial(rating2)} `;
      look += "|";
    }
  if (stack) for (const part of assembly.stack) look += `s${serial(part)} `;
  return look;
}
var Outcomes = class {
  #ctx;
  #tally = new Tally();
  #known = /* @__PURE__ */ new Map();
  #bridges = /* @__PURE__ */ new Map();
  constructor(ctx) {
    this.#ctx = ctx;
  }
  of(joint, assembly, look = lookOf(joint, assembly)) {
    return once(this.#known, joint, look, () => {
      const applies = tallyJoint(joint, assembly, this.#full(assembly), this.#tally.reset());
      return { applies, code: this.#tally.code, weakest: this.#tally.weakest };
    });
  }
  /** Whether a bridge is seen, whatever else is not known. */
  seesBridge(joint, assembly) {
    return once(this.#bridges, joint, lookOf(joint, assembly), () => this.record(joint, assembly).limits.some(({ code }) => code === CODES[BRIDGE]));
  }
  record(joint, assembly) {
    return recordJoint(joint, assembly, this.#full(assembly));
  }
  #full = (assembly) => contextOf(assembly, this.#ctx);
};
function once(known5, joint, look, work) {
  let own3 = known5.get(joint);
  if (!own3) known5.set(joint, own3 = /* @__PURE__ */ new Map());
  let found = own3.get(look);
  if (found === void 0) own3.set(look, found = work());
  return found;
}

// core/pairing/closing.ts
function insertionPlace(part) {
  const has2 = (kind) => part.ports.some((port2) => port2.kind === kind);
  if (has2("plate") && has2("face")) return "face";
  if (has2("spacer") || part.kind === "flywheel" || part.kind === "flexplate") return "flange";
  return has2("pilot-piece") ? "pilot" : null;
}
var JOINT_OF = { face: "block-face", flange: "crank-flange", pilot: "pilot" };
var MOST_TRIED = 4e3;
var MOST_TOLD = 60;
function closingSets(train, bare, ctx, catalogue, { most: most3 = 2, cost = () => Infinity } = {}) {
  const search = new Search(
    train,
    bare.filter((verdict2) => jointNamed(verdict2.joint)?.place === "coupling"),
    ctx,
    cost
  );
  const inUse = new Set([...train.coupling, train.engine, train.transmission].map((part) => part.id));
  const places = PLACES.map((place6) => mating(train, place6, ctx, catalogue).filter((part) => !inUse.has(part.id)));
  const singles = places.map((parts) => parts.map((part) => search.tryOut([part])));
  const found = singles.flat().flatMap(({ set }) => set ?? []);
  const rest = singles.map((tried) => tried.filter(({ set }) => set?.closes !== "yes"));
  if (most3 > 1) for (const [one, other2] of PAIRS) found.push(...search.pairs(rest[one], rest[other2]));
  found.sort(byWorth);
  return found.slice(0, MOST_TOLD).map(({ parts, closes, missing }) => ({ parts, closes, missing }));
}
var PLACES = ["face", "flange", "pilot"];
var PAIRS = [
  [0, 1],
  [0, 2],
  [1, 2]
];
var rank = (closes) => closes === "yes" ? 0 : 1;
var byWorth = (p, q) => rank(p.closes) - rank(q.closes) || p.parts.length - q.parts.length || q.weakest - p.weakest || p.cost - q.cost || (p.parts.join() < q.parts.join() ? -1 : 1);
var matingMemory = /* @__PURE__ */ new WeakMap();
var placed2 = /* @__PURE__ */ new WeakMap();
var REMEMBERED = 200;
function mating(train, place6, ctx, catalogue) {
  const joint = jointNamed(JOINT_OF[place6]);
  let held2 = matingMemory.get(catalogue);
  if (!held2) matingMemory.set(catalogue, held2 = /* @__PURE__ */ new Map());
  const key = [place6, ...neighbours(train, joint).map(serial), serial(ctx.tolerances), ctx.use, ctx.placement].join(" ");
  const known5 = held2.get(key);
  if (known5) return known5;
  const tally = new Tally();
  const found = (byPlace(catalogue).get(place6) ?? []).filter((part) => {
    const assembly = assemble({ ...train, inserted: [part] });
    return scenesOf(joint, assembly, contextOf(assembly, ctx)).every((scene) => tally.isAtMost(joint, scene, WORK));
  });
  if (held2.size >= REMEMBERED) held2.delete(held2.keys().next().value);
  held2.set(key, found);
  return found;
}
function byPlace(catalogue) {
  let found = placed2.get(catalogue);
  if (!found) placed2.set(catalogue, found = groupBy(catalogue, insertionPlace));
  return found;
}
function neighbours({ engine: engine2, transmission, recipient, transfer: transfer3, coupling: coupling2 }, joint) {
  const { slots, stack, ratings: ratings2 } = inputsOf2(joint);
  const isSeen = ({ kind }) => kind === "ratings" ? ratings2 : slots.includes(SLOTS[kind]) || stack && (kind === "plate" || kind === "spacer") || BORE.has(kind);
  return [engine2, transmission, recipient, transfer3, ...coupling2].filter((part) => part != null && part.ports.some(isSeen));
}
var BORE = /* @__PURE__ */ new Set(["plate", "spacer", "pilot-bore", "flywheel", "flange-bolts"]);
var Search = class {
  constructor(train, bare, ctx, cost) {
    this.train = train;
    this.bare = bare;
    this.cost = cost;
    this.#outcomes = new Outcomes(ctx);
  }
  train;
  bare;
  cost;
  #outcomes;
  tryOut(parts) {
    const part = parts[0];
    const assembly = assemble({ ...this.train, inserted: parts });
    const failing = [];
    const open2 = [];
    let weakest = 6;
    for (const verdict2 of this.bare) {
      const joint = jointNamed(verdict2.joint);
      const outcome = this.#outcomes.of(joint, assembly);
      weakest = Math.min(weakest, outcome.weakest);
      const state = this.#state(verdict2, joint, outcome, assembly);
      if (state === "failing") failing.push(joint);
      else if (state === "open") open2.push(joint);
    }
    const set = failing.length > 0 ? null : {
      parts: parts.map(({ id: id3 }) => id3),
      closes: open2.length === 0 ? "yes" : "may",
      missing: open2.flatMap((joint) => this.#outcomes.record(joint, assembly).missing.map((field) => `${field.partName}: ${field.label}`)),
      weakest,
      cost: parts.reduce((sum, { id: id3 }) => sum + this.cost(id3), 0)
    };
    return { part, assembly, failing, set, weakest, shape: shapeOf3(part) };
  }
  /** How a joint that was as in the bare run stands now. */
  #state(bare, joint, { code }, assembly) {
    if (code <= WORK) return "good";
    const before = CODES.indexOf(bare.code);
    const bridged = bare.limits.some((limit) => limit.code === "bridge");
    if (!bridged && code <= before && code !== UNMEASURED) return "good";
    if (code !== UNMEASURED) return "failing";
    if (!bridged && before === UNMEASURED) return "good";
    return this.#outcomes.seesBridge(joint, assembly) ? "failing" : "open";
  }
  /** Pairs that close: what fails with one part alone, and does not look at the other's place, fails with both. */
  pairs(some, others) {
    const found = [];
    for (const ones of groupBy(some, ({ shape }) => shape).values())
      for (const twos of groupBy(others, ({ shape }) => shape).values()) {
        const left = ones.filter((one) => this.#mayMend(one, twos[0]));
        const right = twos.filter((two) => this.#mayMend(two, ones[0]));
        const isMany = left.length * right.length > MOST_TRIED;
        const most3 = Math.floor(Math.sqrt(MOST_TRIED));
        const tried = (singles) => isMany ? this.#foremost(singles, most3) : singles;
        for (const one of tried(left))
          for (const two of tried(right)) {
            const { set } = this.tryOut([one.part, two.part]);
            if (set) found.push(set);
          }
      }
    return found;
  }
  /** Whether a part of another place, of the shape of this one, changes what every failing joint looks at. */
  #mayMend({ part, assembly, failing }, { part: other2 }) {
    if (failing.length === 0) return true;
    const order = [part, other2].sort((p, q) => PLACES.indexOf(insertionPlace(p)) - PLACES.indexOf(insertionPlace(q)));
    const both = assemble({ ...this.train, inserted: order });
    return failing.every((joint) => lookOf(joint, both) !== lookOf(joint, assembly));
  }
  /** The cheapest at each strength of evidence. */
  #foremost(singles, most3) {
    const byCost = [...singles].sort((p, q) => this.cost(p.part.id) - this.cost(q.part.id) || (p.part.id < q.part.id ? -1 : 1));
    const each = Math.max(1, Math.floor(most3 / (GRADES2.length + 1)));
    return [...new Set([...GRADES2.keys(), GRADES2.length].flatMap((grade2) => byCost.filter(({ weakest }) => weakest >= grade2).slice(0, each)))];
  }
};
var shapeOf3 = ({ kind, ports }) => [kind, ...ports.map((port2) => `${port2.kind} ${port2.looks} ${port2.slot} ${port2.present}`)].join("|");

// core/money/offer-price.ts
function rateBetween(rates, from, to) {
  if (from === to) return 1;
  const fitting = rates.filter((r) => r.from === from && r.to === to || r.from === to && r.to === from).sort((p, q) => p.on < q.on ? 1 : p.on > q.on ? -1 : 0);
  const newest = fitting[0];
  return newest ? newest.from === from ? newest.rate : 1 / newest.rate : null;
}
function paidPrice(listedMinor, currency, taxIncluded, build2, rates) {
  const rate2 = rateBetween(rates, currency, build2.currency);
  if (rate2 === null) return null;
  const gross = taxIncluded ? listedMinor : withTax(listedMinor, build2.taxRate);
  return convert(gross, currency, build2.currency, rate2);
}

// server/services/least-cost.ts
function leastCost(build2, parts, least3, { kits: kits2, rates }) {
  const money2 = { currency: String(build2.currency), taxRate: Number(build2.taxRate) };
  const known5 = /* @__PURE__ */ new Map();
  const take = (part, price) => void known5.set(part, Math.min(known5.get(part) ?? Infinity, price ?? Infinity));
  for (const kit of kits2) for (const item2 of kit.items) take(item2.partId, paidPrice(kit.priceMinor, kit.currency, kit.taxIncluded, money2, rates));
  for (const { id: id3 } of parts) for (const offer of least3.get(id3) ?? []) take(id3, paidPrice(offer.priceMinor, offer.currency, offer.taxIncluded, money2, rates));
  return (part) => known5.get(part) ?? Infinity;
}

// server/services/offered.ts
var kept4 = /* @__PURE__ */ new WeakMap();
var followed = /* @__PURE__ */ new WeakSet();
function keptOf2(store2) {
  if (!followed.has(store2.root)) {
    followed.add(store2.root);
    onChange(store2.root, ({ parts }) => {
      const now = kept4.get(store2.root);
      for (const id3 of parts) now?.stale.add(id3);
    });
  }
  const before = kept4.get(store2.root);
  const aside2 = asideChanges(store2.root);
  if (before?.epoch === store2.epoch && before.aside === aside2) return before;
  const fresh = { epoch: store2.epoch, aside: aside2, offers: /* @__PURE__ */ new Map(), numbers: /* @__PURE__ */ new Map(), least: /* @__PURE__ */ new Map(), stale: /* @__PURE__ */ new Set(), changes: (before?.changes ?? 0) + 1 };
  kept4.set(store2.root, fresh);
  return fresh;
}
function forgetStale(now) {
  for (const id3 of now.stale) {
    const wasHeld = [now.offers, now.numbers, now.least].map((held2) => held2.delete(id3)).some(Boolean);
    if (wasHeld) now.changes++;
  }
  now.stale.clear();
}
var AT_ONCE2 = 500;
async function leastPrices(store2, parts) {
  await store2.list("supplier");
  const now = keptOf2(store2);
  forgetStale(now);
  const missing = parts.filter((id3) => !now.least.has(id3));
  for (let i = 0; i < missing.length; i += AT_ONCE2) {
    const ids = missing.slice(i, i + AT_ONCE2);
    const rows = await store2.knex("offer").whereIn("partId", ids).groupBy("partId", "currency", "taxIncluded").select("partId", "currency", "taxIncluded").min("priceMinor as priceMinor");
    const found = groupBy(rows, (row) => row.partId);
    for (const id3 of ids)
      now.least.set(
        id3,
        (found.get(id3) ?? []).map((row) => ({ currency: String(row.currency), taxIncluded: row.taxIncluded === 1, priceMinor: Number(row.priceMinor) }))
      );
  }
  return { of: now.least, changes: now.changes };
}

// server/services/insertables.ts
var kept5 = /* @__PURE__ */ new WeakMap();
var listed = /* @__PURE__ */ new WeakMap();
function loose2({ kinds: kinds2, rows, ofKind }) {
  let found = listed.get(kinds2);
  if (!found) {
    found = Object.keys(PART_KINDS).flatMap((kind) => ofKind(kind)).filter((part) => insertionPlace(part) !== null && !rows.get(part.id)?.ownerId).sort((p, q) => p.id < q.id ? -1 : 1);
    listed.set(kinds2, found);
  }
  return found;
}
async function insertablesOf(store2, build2, catalogue) {
  const parts = loose2(catalogue);
  const { of, changes: changes2 } = await leastPrices(
    store2,
    parts.map((part) => part.id)
  );
  const { kits: kits2, rates } = catalogue.trade;
  const madeOf = [parts, changes2, kits2, rates, build2.currency, build2.taxRate];
  let held2 = kept5.get(store2.root);
  if (!held2) kept5.set(store2.root, held2 = /* @__PURE__ */ new Map());
  const before = held2.get(build2.id);
  if (before?.madeOf.every((one, i) => one === madeOf[i])) return before.found;
  const cost = leastCost(build2, parts, of, catalogue.trade);
  const costs = parts.map((part) => cost(part.id));
  const isSame = before && before.found.parts.length === parts.length && parts.every((part, i) => part === before.found.parts[i] && costs[i] === before.costs[i]);
  const found = isSame ? before.found : { parts, cost };
  held2.set(build2.id, { madeOf, costs, found });
  return found;
}

// server/services/build-view.ts
async function viewBuild(store2, buildId) {
  const build2 = await store2.get("build", buildId);
  const pairings = await store2.list("pairing", { buildId });
  const claims = await store2.list("jointClaim");
  const catalogue = await loadCatalogue(store2, buildId);
  const isStopper2 = (claim2) => claim2.subject === "stopper";
  return {
    build: build2,
    catalogue,
    insertables: await insertablesOf(store2, build2, catalogue),
    pairings,
    choices: await store2.listIn(
      "couplingChoice",
      "pairingId",
      pairings.map((row) => row.id)
    ),
    jointClaims: claims.filter((claim2) => !isStopper2(claim2)),
    stoppers: Object.fromEntries(
      claims.filter((claim2) => isStopper2(claim2) && claim2.buildId === buildId).map((claim2) => [String(claim2.question), String(claim2.says)])
    )
  };
}
function contextOf2(view) {
  return { tolerances: view.catalogue.tolerances, use: view.build.use ?? void 0, placement: view.build.school === "set-back" ? "set-back" : "keep" };
}

// server/services/memory.ts
var RevisionMemory = class {
  #held = /* @__PURE__ */ new WeakMap();
  async recall(store2, key, work) {
    if (store2.inTransaction) return work();
    const { told } = store2;
    let held2 = this.#held.get(store2.root);
    if (!held2) this.#held.set(store2.root, held2 = /* @__PURE__ */ new Map());
    const found = held2.get(key);
    if (found?.told === told) return found.value;
    const value = work();
    const kept6 = { told, value };
    held2.set(key, kept6);
    value.catch(() => held2.get(key) === kept6 && held2.delete(key));
    return value;
  }
};
var Memory = class {
  #kept = /* @__PURE__ */ new Map();
  #serials = /* @__PURE__ */ new WeakMap();
  #most;
  #last = 0;
  constructor(most3) {
    this.#most = most3;
  }
  recall(leansOn, words3, work) {
    const key = `${leansOn.map((one) => this.#serial(one)).join(" ")}|${words3}`;
    const value = this.#kept.has(key) ? this.#kept.get(key) : work();
    this.#kept.delete(key);
    this.#kept.set(key, value);
    if (this.#kept.size > this.#most) this.#kept.delete(this.#kept.keys().next().value);
    return value;
  }
  #serial(one) {
    if (one === null) return 0;
    let serial2 = this.#serials.get(one);
    if (serial2 === void 0) this.#serials.set(one, serial2 = ++this.#last);
    return serial2;
  }
};

// core/pairing/joint-claims.ts
var isMeant = (claim2, joint, spoken2) => {
  if (claim2.joint !== null && claim2.joint !== joint.joint) return false;
  const engine2 = claim2.engineId !== null ? claim2.engineId === spoken2.engineId : claim2.engineFamily !== null && claim2.engineFamily === spoken2.engineFamily;
  const transmission = claim2.transmissionId !== null ? claim2.transmissionId === spoken2.transmissionId : claim2.transmissionFamily !== null && claim2.transmissionFamily === spoken2.transmissionFamily;
  return engine2 && transmission;
};
var isDamageOpen = (verdict2) => verdict2.limits.some((limit) => limit.damage && limit.code === "unmeasured");
function hearClaims(joint, place6, claims, spoken2) {
  const conflicts = [];
  let answer;
  for (const claim2 of claims) {
    if (!isMeant(claim2, joint, spoken2) || claim2.joint === null && claim2.subject !== "build" && place6 !== "coupling") continue;
    const run = claim2.subject === "joint" || !joint.closed ? "bare" : "closed";
    if (claim2.subject === "kit" && (claim2.kitId === null || !spoken2.kitsInRun.has(claim2.kitId))) continue;
    const verdict2 = run === "closed" ? joint.closed : joint.bare;
    const agrees = verdict2.code === "fits" || verdict2.code === "work";
    if (verdict2.code !== "unmeasured") {
      if (agrees !== (claim2.says === "yes")) conflicts.push(claim2);
      continue;
    }
    if (claim2.says === "no" || isDamageOpen(verdict2) && claim2.grade !== "fitted") continue;
    const isStronger = !answer || strength(claim2.grade) > strength(answer.claim.grade) || claim2.grade === answer.claim.grade && claim2.id < answer.claim.id;
    if (isStronger) answer = { run, code: "fits", evidence: claim2.grade, claim: claim2 };
  }
  return { conflicts, ...answer ? { answer } : {} };
}

// core/pairing/pairing.ts
function recordTrain(train, ctx) {
  const assembly = assemble(train);
  const full = contextOf(assembly, ctx);
  return JOINTS.flatMap((joint) => recordJoint(joint, assembly, full) ?? []);
}
var sawBridge = (verdict2) => verdict2.limits.some((limit) => limit.code === CODES[BRIDGE]);
function runPairing(train, ctx, catalogue, options = {}) {
  const bare = recordTrain(train, ctx);
  const closedBy = bare.some((verdict2) => sawBridge(verdict2) && jointNamed(verdict2.joint)?.place === "coupling") ? closingSets(train, bare, ctx, catalogue, options) : [];
  const taken = options.prefer ? closedBy.find((set) => sameSet(set.parts, options.prefer)) : closedBy.find((set) => set.closes === "yes");
  const inserted = (taken?.parts ?? options.prefer ?? []).map((id3) => catalogue.find((part) => part.id === id3)).filter((part) => part !== void 0);
  const closed = inserted.length > 0 ? recordTrain({ ...train, inserted }, ctx) : null;
  const counts3 = Object.fromEntries(CODES.map((code) => [code, bare.filter((verdict2) => verdict2.code === code).length]));
  return {
    engine: train.engine.id,
    transmission: train.transmission.id,
    joints: bare.map((verdict2) => {
      const after = closed?.find((other2) => other2.joint === verdict2.joint);
      return {
        id: `${verdict2.joint}:${train.engine.id}:${train.transmission.id}`,
        joint: verdict2.joint,
        a: train.engine.id,
        b: train.transmission.id,
        bare: verdict2,
        ...after ? { closed: after } : {}
      };
    }),
    closedBy,
    chosen: inserted.map((part) => part.id),
    counts: counts3,
    notes: options.notes ?? []
  };
}
var sameSet = (a2, b2) => a2.length === b2.length && a2.every((id3) => b2.includes(id3));

// server/services/pairing-run.ts
var couplingOf = (catalogue, owner) => catalogue.ownedBy(owner).flatMap((row) => row.isDefault === true && isCouplingKind(String(row.kind)) ? catalogue.parts.get(row.id) ?? [] : []);
function trainOf(view, engine2, transmission) {
  const { catalogue, build: build2 } = view;
  const row = view.pairings.find((one) => one.engineId === engine2.id && one.transmissionId === transmission.id) ?? null;
  const chosen = row ? view.choices.filter((choice) => choice.pairingId === row.id).flatMap((choice) => catalogue.parts.get(String(choice.partId)) ?? []) : [];
  const { parts, notes } = couplingSet(transmission, couplingOf(catalogue, engine2.id), couplingOf(catalogue, transmission.id), chosen);
  const recipient = build2.recipientId ? catalogue.parts.get(String(build2.recipientId)) ?? null : null;
  return { train: { engine: engine2, transmission, recipient, transfer: transferOf(catalogue, chosen, transmission.id, recipient?.id), coupling: parts, inserted: [] }, notes, row };
}
function transferOf(catalogue, chosen, transmissionId, recipientId) {
  const picked = chosen.find((part) => part.kind === "transfer-case");
  if (picked) return picked;
  const cases = catalogue.ofKind("transfer-case");
  const owned = (owner) => owner ? cases.find((part) => catalogue.rows.get(part.id)?.ownerId === owner) : void 0;
  return owned(transmissionId) ?? owned(recipientId) ?? null;
}
var pairingMemory = new Memory(2e3);
function runBuildPairing(view, engineId, transmissionId) {
  const engine2 = view.catalogue.parts.get(engineId);
  const transmission = view.catalogue.parts.get(transmissionId);
  if (!engine2 || !transmission) throw new MissingError("That engine or transmission is not in the catalogue any more.");
  const { train, notes, row } = trainOf(view, engine2, transmission);
  const kept6 = row?.inserted;
  const prefer = kept6 && kept6.length > 0 ? kept6 : void 0;
  const context = contextOf2(view);
  const { parts: insertable, cost } = view.insertables;
  const leansOn = [train.engine, train.transmission, train.recipient, train.transfer ?? null, ...train.coupling, context.tolerances, view.insertables];
  const words3 = JSON.stringify([context.use, context.placement, prefer, notes]);
  const result = pairingMemory.recall(leansOn, words3, () => runPairing(train, context, insertable, { notes, cost, ...prefer ? { prefer } : {} }));
  return { train, result, insertable, row, heard: hear(view, train, result) };
}
function hear(view, train, result) {
  if (view.jointClaims.length === 0) return /* @__PURE__ */ new Map();
  const inRun = /* @__PURE__ */ new Set([...result.chosen, ...train.coupling.map((part) => part.id)]);
  const kitsInRun = view.catalogue.trade.kits.filter((kit) => {
    const pieces = kit.items.filter((item2) => {
      const part = view.catalogue.parts.get(item2.partId);
      return part !== void 0 && (isCouplingKind(part.kind) || insertionPlace(part) !== null);
    });
    return pieces.length > 0 && pieces.every((item2) => inRun.has(item2.partId));
  });
  const spoken2 = {
    engineId: train.engine.id,
    transmissionId: train.transmission.id,
    engineFamily: portOf(train.engine, "face", "rearward").family.v,
    transmissionFamily: portOf(train.transmission, "face", "forward").family.v,
    kitsInRun: new Set(kitsInRun.map((kit) => kit.id))
  };
  return new Map(result.joints.map((joint) => [joint.joint, hearClaims(joint, jointNamed(joint.joint).place, view.jointClaims, spoken2)]));
}

// server/services/pairings.ts
var rowsMemory = new RevisionMemory();
var SHOWN = 24;
var listPairings = (store2, buildId, most3 = SHOWN) => rowsMemory.recall(store2, `${buildId}|${most3}`, async () => pairingRows(await viewBuild(store2, buildId), most3));
function inPlay(view, most3) {
  const { build: build2, catalogue, pairings, choices } = view;
  const words3 = JSON.stringify([build2.use, build2.school, build2.recipientId, pairings.map((row) => [row.engineId, row.transmissionId]), choices, most3]);
  return ranking.recall([catalogue.parts, catalogue.tolerances], words3, () => rank2(view, most3));
}
var ranking = new Memory(40);
var weighed = /* @__PURE__ */ new Map();
var MOST_WEIGHED = 20;
function weightsOf(build2) {
  const held2 = weighed.get(build2) ?? new PairWeights();
  weighed.delete(build2);
  weighed.set(build2, held2);
  for (const oldest of weighed.keys()) if (weighed.size > MOST_WEIGHED) weighed.delete(oldest);
  return held2;
}
function rank2(view, most3) {
  const context = contextOf2(view);
  const touched = new Set(view.pairings.map((row) => `${row.engineId}|${row.transmissionId}`));
  const isOwn = (part) => view.catalogue.rows.get(part.id)?.ownerId === view.build.recipientId && view.build.recipientId !== null;
  const { catalogue, build: build2 } = view;
  const engines = catalogue.ofKind("engine");
  const transmissions = catalogue.ofKind("transmission");
  const recipient = build2.recipientId ? catalogue.parts.get(String(build2.recipientId)) ?? null : null;
  const weights = weightsOf(build2.id).weigh(
    engines.map((engine2) => ({ engine: engine2, coupling: couplingOf(catalogue, engine2.id) })),
    transmissions.map((transmission) => ({
      transmission,
      coupling: couplingOf(catalogue, transmission.id),
      transfer: transferOf(catalogue, [], transmission.id, recipient?.id),
      recipient
    })),
    context
  );
  const all = engines.flatMap(
    (engine2, row) => transmissions.map((transmission, column) => {
      const kept6 = touched.has(`${engine2.id}|${transmission.id}`) || isOwn(engine2) && isOwn(transmission);
      return { pair: [engine2, transmission], weight: kept6 ? -1 : weights[row * transmissions.length + column] };
    })
  );
  const ranked = all.sort((p, q) => p.weight - q.weight || (`${p.pair[0].name}${p.pair[1].name}` < `${q.pair[0].name}${q.pair[1].name}` ? -1 : 1));
  return { pairs: ranked.slice(0, most3).map(({ pair }) => pair), of: all.length };
}
function pairingRows(view, most3 = SHOWN) {
  const { pairs, of } = inPlay(view, most3);
  const items = pairs.map(([engine2, transmission]) => {
    const { result, row, heard } = runBuildPairing(view, engine2.id, transmission.id);
    return {
      engineId: engine2.id,
      engine: engine2.name,
      transmissionId: transmission.id,
      transmission: transmission.name,
      recipients: [engine2, transmission].filter((part) => view.catalogue.rows.get(part.id)?.ownerId === view.build.recipientId).map((part) => part.id),
      chosen: row?.chosen === true,
      joints: result.joints.map((joint) => shownCode(joint, heard.get(joint.joint))),
      open: result.joints.filter(({ joint, bare, closed }) => effective({ bare, closed }).code === "unmeasured" && !heard.get(joint)?.answer).length,
      minutes: result.joints.reduce((sum, { bare, closed }) => sum + effective({ bare, closed }).minutes, 0),
      hours: result.joints.reduce((sum, { bare, closed }) => sum + effective({ bare, closed }).tasks.reduce((total2, task) => total2 + task.hours, 0), 0),
      closedBy: result.chosen.map((id3) => view.catalogue.parts.get(id3)?.name ?? id3),
      marginNm: marginOf(result)
    };
  });
  return { items: items.sort(byPromise), of };
}
function shownCode({ joint, bare, closed }, said2) {
  const answer = said2?.answer;
  return {
    joint,
    code: answer?.run === "bare" ? answer.code : bare.code,
    closed: answer?.run === "closed" ? answer.code : closed?.code ?? null,
    evidence: answer ? answer.evidence : bare.evidence,
    missing: effective({ bare, closed }).missing.length,
    claimed: answer !== void 0,
    conflicts: said2?.conflicts.length ?? 0
  };
}
function marginOf(result) {
  const limits = result.joints.find((joint) => joint.joint === "torque")?.bare.limits.filter((limit) => limit.id === "torque") ?? [];
  const margins = limits.flatMap((limit) => limit.margin === null ? [] : [limit.margin]);
  return margins.length === limits.length && margins.length > 0 ? Math.min(...margins) : null;
}

// ../../tmp/loop.ts
var knex = await openDatabase(":memory:");
var store = new Store(knex);
await importDocument(store, demoDocument());
await listPairings(store, "lantern");
var t = 0;
for (let i = 0; i < 60; i++) {
  await addClaim(store, { portId: "quill-late/pilot-bore/crank", field: "bottomMm", value: -12 - i % 40 / 10, grade: "heard", decimal: "ask", thisVeryPart: false });
  const from = performance.now();
  await listPairings(store, "lantern");
  t += performance.now() - from;
}
console.log(t / 60);
process.exit(0);
