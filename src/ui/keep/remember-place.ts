import { askShop } from './ask-shop';
/** Keeps where a job was left, so that it reopens there; losing this is no loss worth a message. */
export function rememberPlace(jobId: string, place: string): void {
  const body = JSON.stringify({ place });
  askShop(`/api/v1/jobs/${jobId}/place`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body,
  })
    // An answer nobody reads keeps its connection from the next request.
    .then((response) => response.text())
    .catch(() => undefined);
}
