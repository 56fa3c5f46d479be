/** A fetch that tells how much of what it sends is sent, as a share of 1: only XMLHttpRequest knows. 1 once all of it is with the server. */
export const sendTelling =
  (told: (share: number) => void): typeof fetch =>
  (url, options = {}) =>
    new Promise((resolve, reject) => {
      const request = new XMLHttpRequest()
      request.open(options.method ?? 'POST', url as string)
      new Headers(options.headers).forEach((value, name) => request.setRequestHeader(name, value))
      request.upload.onprogress = ({ loaded, total }) => told(total > 0 ? Math.min(0.99, loaded / total) : 0)
      request.upload.onload = () => told(1)
      request.onload = () => resolve(new Response(request.responseText, { status: request.status }))
      request.onerror = request.onabort = () => reject(new TypeError('not sent'))
      options.signal?.addEventListener('abort', () => request.abort())
      request.send(options.body as FormData)
    })
