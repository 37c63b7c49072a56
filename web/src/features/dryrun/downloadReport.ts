import { Refused } from '@/api/client'
import { svgOf } from '@/trellis/exportPicture'
import { download } from '@/ui/download'

/** A picture within a page that has its fonts already, and says by itself what an svg is. */
function inside(svg: string): string {
  return svg.replace(/<style[^>]*>[\s\S]*?<\/style>/, '').replace(/ xmlns(:\w+)?="[^"]*"/g, '')
}

/**
 * Saves a run's report as one file that needs nothing else.
 *
 * @param number the journey of the run that the picture shows
 * @param picture the trellis, which goes into the place that the report keeps for it
 */
export async function downloadReport(
  run: number,
  number: number,
  picture: SVGSVGElement | null,
): Promise<void> {
  const answer = await fetch(`/api/dry-runs/${run}/report.html`)
  const page = await answer.text()
  if (!answer.ok) {
    throw new Refused({
      status: answer.status,
      code: 'no-report',
      detail: 'The report could not be written.',
    })
  }
  const place = `<figure id="trellis-${number}"></figure>`
  const drawn = picture ? inside(await svgOf(picture)) : ''
  const whole = page.replace(place, () => `<figure>${drawn}</figure>`)
  download(new Blob([whole], { type: 'text/html' }), `dry-run-${run}.html`)
}
