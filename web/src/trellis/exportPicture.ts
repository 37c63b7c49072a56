/** Saves the trellis as it is on the screen: as SVG with its fonts inside, or as PNG. */

const STYLES = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'font-variant-numeric',
  'text-anchor',
] as const

/** What a page's style sheets say of an element is written onto its copy. */
function styled(original: SVGSVGElement): SVGSVGElement {
  const copy = original.cloneNode(true) as SVGSVGElement
  const from = original.querySelectorAll<SVGElement>('*')
  const to = copy.querySelectorAll<SVGElement>('*')
  from.forEach((element, i) => {
    const style = getComputedStyle(element)
    for (const name of STYLES) to[i]!.style.setProperty(name, style.getPropertyValue(name))
    to[i]!.removeAttribute('class')
    to[i]!.removeAttribute('tabindex')
  })
  copy.removeAttribute('class')
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  return copy
}

/** The families that the picture's texts are set in. */
function families(picture: SVGSVGElement): Set<string> {
  const texts = [...picture.querySelectorAll('text')]
  return new Set(
    texts.map((text) =>
      getComputedStyle(text).fontFamily.split(',')[0]!.replace(/["']/g, '').trim(),
    ),
  )
}

async function dataUrl(url: string): Promise<string> {
  const blob = await (await fetch(url)).blob()
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(reader.result as string)
    reader.onerror = () => reject(new Error(`The font ${url} could not be read.`))
    reader.readAsDataURL(blob)
  })
}

/** The font faces for Latin text, each with its font inside. */
async function fontFaces(wanted: Set<string>): Promise<string> {
  const rules = [...document.styleSheets]
    .flatMap((sheet) => [...sheet.cssRules])
    .filter((rule): rule is CSSFontFaceRule => rule instanceof CSSFontFaceRule)
    .filter((rule) => {
      const family = rule.style.getPropertyValue('font-family').replace(/["']/g, '').trim()
      const range = rule.style.getPropertyValue('unicode-range')
      return wanted.has(family) && (range === '' || /U\+0{0,4}-?0?FF/i.test(range))
    })
  const faces = await Promise.all(
    rules.map(async (rule) => {
      const url = /url\(["']?([^"')]+)/.exec(rule.style.getPropertyValue('src'))?.[1]
      if (!url) return ''
      const base = rule.parentStyleSheet?.href ?? document.baseURI
      const inside = await dataUrl(new URL(url, base).href)
      return `@font-face{font-family:${rule.style.getPropertyValue('font-family')};font-weight:${rule.style.getPropertyValue('font-weight') || 'normal'};src:url(${inside}) format("woff2")}`
    }),
  )
  return faces.join('')
}

/** The picture as a file of its own. */
export async function svgOf(picture: SVGSVGElement): Promise<string> {
  const copy = styled(picture)
  const style = document.createElementNS('http://www.w3.org/2000/svg', 'style')
  style.textContent = await fontFaces(families(picture))
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect')
  ground.setAttribute('width', '100%')
  ground.setAttribute('height', '100%')
  ground.setAttribute(
    'fill',
    getComputedStyle(document.documentElement).getPropertyValue('--color-panel'),
  )
  copy.prepend(style, ground)
  return new XMLSerializer().serializeToString(copy)
}

/** The same as an image of twice as many dots, sharp in print. */
export async function pngOf(picture: SVGSVGElement): Promise<Blob> {
  const svg = await svgOf(picture)
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = picture.clientWidth * 2
  canvas.height = picture.clientHeight * 2
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height)
  return new Promise((resolve, reject) => {
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('The picture could not be made.'))),
      'image/png',
    )
  })
}
