// The server's doors of the desk.

/** What the server said no to, in its own words. */
export class Refused extends Error {
  constructor(page, status) {
    super(`answer ${status}`);
    this.page = page;
  }
}

export function door(job, token) {
  const headers = { "X-XSRF-TOKEN": token, "HX-Request": "true" };
  return {
    async post(path, body, type) {
      const typed = type ? { ...headers, "Content-Type": type } : headers;
      const answer = await fetch(`/jobs/${job}/desk/${path}`, { method: "POST", headers: typed, body });
      if (!answer.ok) throw new Refused(await answer.text(), answer.status);
      return (answer.headers.get("Content-Type") || "").includes("json") ? answer.json() : answer.text();
    },
    /** Sent even while the page goes away. */
    leave(path) {
      fetch(`/jobs/${job}/desk/${path}`, { method: "POST", headers, keepalive: true }).catch(() => {});
    },
    async order(positions) {
      const query = new URLSearchParams();
      positions.forEach((p) => query.append("position", p));
      return (await fetch(`/jobs/${job}/desk/order?${query}`)).json();
    },
    /** The rows of another occasion, as a piece of the page. */
    async rows(query) {
      const answer = await fetch(`/jobs/${job}/desk?${query}`, { headers: { "HX-Request": "true" } });
      if (!answer.ok) throw new Refused(await answer.text(), answer.status);
      return answer.text();
    },
  };
}
