import { choose, expect, expectAccessible, test } from './junket.ts'

test('a brief is filled: limits against the build, what each yes adds, law and papers; a reload keeps it', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/builds/lantern/brief`)
  const limits = page.getByRole('region', { name: 'Limits against the build' })
  await expect(limits).toContainText('to spare at the gearbox')
  await page.getByText('Why it is wanted, its limits').click()
  await page.getByText('Law and papers', { exact: true }).first().click()
  await page
    .locator('fieldset')
    .filter({ hasText: 'Bolt-in only' })
    .getByText('Yes', { exact: true })
    .click()
  await expect(limits).toContainText('Bolt-in only')
  const torque = page.getByLabel('Torque wanted in the end; blank: as the engine is')
  await torque.fill('400 lbf·ft')
  await torque.press('Tab')
  await expect(limits).toContainText('too much: a stronger gearbox, or less engine')
  await page.getByLabel('Money, at most, in the build’s currency').fill('2')
  await page.keyboard.press('Tab')
  const kept = page.getByRole('region', { name: 'Must still work afterwards' })
  await expect(kept).toContainText('Refrigerant hoses and ends')
  await kept.getByLabel('Air conditioning').check()
  await expect(kept.getByText(/^Kept:/)).toBeVisible()
  await choose(page.getByLabel('The noise limit is known: State'), 'Asked')
  await page.getByLabel('The noise limit is known: Who said so').fill('Inspecting office')
  await page.keyboard.press('Tab')
  await page.getByText('Is it worth more uncut?').click()
  await page.getByLabel('What it would sell for as it stands').fill('2,000')
  await page.keyboard.press('Tab')
  await choose(page.getByLabel('How many are left as made'), 'Rare')
  await page.reload()
  await expect(page.getByLabel('The noise limit is known: Who said so')).toHaveValue(
    'Inspecting office',
  )
  await expect(kept.getByLabel('Air conditioning')).toBeChecked()
  await expect(limits).toContainText('too much: a stronger gearbox')
})

/** A face of five holes, drawn at two pixels a millimetre with a bar of 100 mm under it. */
const FACE = [
  [150, 30],
  [40, 140],
  [-120, 100],
  [-130, -80],
  [70, -120],
] as const
const at = (x: number, y: number): [number, number] => [500 + 2 * x, 400 - 2 * y]

async function picture(page: import('@playwright/test').Page): Promise<Buffer> {
  const url = await page.evaluate((face) => {
    const canvas = document.createElement('canvas')
    canvas.width = 1000
    canvas.height = 800
    const pen = canvas.getContext('2d')!
    pen.fillStyle = '#ddd'
    pen.fillRect(0, 0, 1000, 800)
    for (const [x, y] of face) {
      pen.beginPath()
      pen.arc(500 + 2 * x, 400 - 2 * y, 12, 0, 7)
      pen.stroke()
    }
    pen.fillRect(400, 760, 200, 4)
    return canvas.toDataURL('image/png')
  }, FACE)
  return Buffer.from(url.split(',')[1]!, 'base64')
}

test('a face is traced from a picture with a scale bar, kept with its bound, and its template printed', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/catalogue/parts/trivet-1/pattern`)
  await page.getByRole('link', { name: 'Trace a picture' }).click()
  await page
    .getByLabel('Picture of the face')
    .setInputFiles({ name: 'face.png', mimeType: 'image/png', buffer: await picture(page) })
  const canvas = page.getByRole('application', { name: /^Picture of the face/ })
  const box = (await canvas.boundingBox())!
  const mark = ([x, y]: [number, number]) =>
    canvas.click({ position: { x: (x / 1000) * box.width, y: (y / 800) * box.height } })
  const known = async (
    from: readonly [number, number],
    to: readonly [number, number],
    n: number,
  ): Promise<void> => {
    await page.getByRole('button', { name: 'Known distance' }).click()
    await mark(at(...from))
    await mark(at(...to))
    await page
      .getByLabel(`Known distance ${n}`)
      .fill(`${Math.hypot(from[0] - to[0], from[1] - to[1]).toFixed(1)} mm`)
  }
  await expect(page.getByText('Mark the scale bar first')).toBeVisible()
  await known([-50, -181], [50, -181], 1)
  await page.getByRole('button', { name: 'Axis' }).click()
  await mark(at(0, 0))
  await page.getByRole('button', { name: 'Hole', exact: true }).click()
  for (const [x, y] of FACE) {
    await mark(at(x, y))
    await mark(at(x + 6, y))
  }
  const traced = page.getByRole('region', { name: 'What was traced' })
  await expect(traced).toContainText('One scale both ways')
  await known(FACE[0], FACE[2], 2)
  await known(FACE[1], FACE[3], 3)
  await known(FACE[2], FACE[4], 4)
  await expect(traced).toContainText(/true within 0.2 %|Held aslant/)
  await expect(traced).toContainText('Known to ±')
  await expectAccessible(page)
  await traced.getByRole('button', { name: 'Keep as a measurement' }).click()
  const template = traced.getByRole('link', { name: '1:1 template on A4' })
  await expect(template).toBeVisible()
  const pdf = await page.request.get(`${demo.url}${await template.getAttribute('href')}`)
  expect([
    pdf.status(),
    pdf.headers()['content-type'],
    (await pdf.body()).subarray(0, 5).toString(),
  ]).toEqual([200, 'application/pdf', '%PDF-'])
  const part = await (await page.request.get(`${demo.url}/api/parts/trivet-1`)).json()
  const holes = part.ports
    .find((port: { kind: string }) => port.kind === 'face')
    .fields.find((field: { name: string }) => field.name === 'holes')
  const measured = holes.claims.find((claim: { grade: string }) => claim.grade === 'measured')
    .value as { x: number; y: number }[]
  FACE.forEach(([x, y], i) => {
    expect(Math.abs(measured[i]!.x - x)).toBeLessThan(1.5)
    expect(Math.abs(measured[i]!.y - y)).toBeLessThan(1.5)
  })
})

test('points are marked by keyboard alone', async ({ page, demo }) => {
  await page.goto(`${demo.url}/catalogue/parts/trivet-1/trace`)
  await page
    .getByLabel('Picture of the face')
    .setInputFiles({ name: 'face.png', mimeType: 'image/png', buffer: await picture(page) })
  const canvas = page.getByRole('application', { name: /^Picture of the face/ })
  await canvas.focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Enter')
  for (let i = 0; i < 10; i++) await page.keyboard.press('Shift+ArrowLeft')
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Known distance 1')).toBeVisible()
})

test('measured on a phone with the connection cut: kept over a reload of the card, and sent when it is back', async ({
  page,
  demo,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${demo.url}/builds/alder/recipient/card`)
  const booster = page.getByLabel('Crank axis to brake booster', { exact: true })
  await expect(booster).toHaveValue('')
  await page.context().setOffline(true)
  await booster.fill('tall')
  await booster.press('Enter')
  await expect(page.getByRole('alert').first()).toBeVisible()
  await booster.fill('285')
  await booster.press('Enter')
  await choose(page.getByLabel('Crank axis to steering shaft: taken with'), /rule/i)
  const column = page.getByLabel('Crank axis to steering shaft', { exact: true })
  await column.fill('9 1/2 in')
  await column.press('Enter')
  await expect(page.getByText('2 answers wait here')).toBeVisible()
  await page.context().setOffline(false)
  await page.reload()
  await expect(booster).toHaveValue(/285/)
  await expect(page.getByText('Each measurement is kept as it is given')).toBeVisible()
  await expect
    .poll(async () => {
      const part = await (await page.request.get(`${demo.url}/api/parts/hawser`)).json()
      const bay = part.ports.find((port: { kind: string }) => port.kind === 'bay')
      return bay?.fields
        .filter((field: { value: unknown }) => field.value !== null)
        .map((field: { name: string; value: number; plusMinus: number }) => [
          field.name,
          field.value,
          field.plusMinus,
        ])
    })
    .toEqual([
      ['boosterMm', 285, 5],
      ['columnMm', 241.3, 0.5],
    ])
})

test('two measurements on the drawing overturn two verdicts', async ({ page, demo }) => {
  const codes = async (): Promise<Record<string, string>> => {
    const detail = await (
      await page.request.get(
        `${demo.url}/api/builds/lantern/pairing?engine=wick-2&transmission=marlund-4`,
      )
    ).json()
    return Object.fromEntries(
      detail.joints.map((joint: { joint: string; closed: { code: string } }) => [
        joint.joint,
        joint.closed.code,
      ]),
    )
  }
  expect(await codes()).toMatchObject({ propshaft: 'fits', lever: 'fits' })
  await page.goto(`${demo.url}/builds/lantern/recipient`)
  const axle = page.getByLabel('Joint centre behind the engine mounts')
  await axle.fill('2225')
  await axle.press('Enter')
  await expect(page.getByRole('region', { name: 'The dimension' })).toContainText(
    'Plumb from between the engine mounts',
  )
  const opening = page.getByLabel('Rear edge behind the engine mounts')
  await opening.fill('780 mm')
  await opening.press('Tab')
  // A newer measurement of the same part, as closely taken, is the one used; the older stays beside it.
  await expect.poll(codes).toMatchObject({ propshaft: 'bridge', lever: 'work' })
  await page.goto(
    `${demo.url}/builds/lantern/pairing?engine=wick-2&transmission=marlund-4&joint=propshaft`,
  )
  await expect(page.getByText('The propshaft is too short')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Shafts to be had' })).toContainText(
    'pairs of halves tried',
  )
  await expectAccessible(page, undefined, 'aside')
  const caution = page.getByText(/A propshaft that lets go/).first()
  await expect(caution).toBeVisible()
  await page.getByLabel('Seen').first().click()
  await expect(page.getByText(/1 caution seen/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/cautions? seen/)).toBeVisible()
  await page.goto(
    `${demo.url}/builds/lantern/pairing?engine=wick-2&transmission=marlund-4&joint=block-face`,
  )
  await expect(page.getByRole('region', { name: 'Both patterns' })).toBeVisible()
  await expectAccessible(page, undefined, 'aside')
})
