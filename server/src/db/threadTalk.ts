import type { Worker } from 'node:worker_threads';

/** Questions to a thread that answers each in its turn. */
export class ThreadTalk<Request, Reply extends { readonly kind: string }> {
  private readonly asked: { readonly resolve: (reply: Reply) => void; readonly reject: (error: Error) => void }[] = [];

  constructor(private readonly worker: Worker) {
    const fail = (error: Error) => {
      for (const one of this.asked.splice(0)) one.reject(error);
    };
    worker.on('error', fail);
    worker.on('exit', (code) => fail(new Error(`the thread ended (${code})`)));
    worker.on('message', (reply: Reply) => this.asked.shift()?.resolve(reply));
  }

  /** Throws what the thread says where it failed. */
  ask(request: Request): Promise<Reply> {
    const answer = new Promise<Reply>((resolve, reject) => {
      this.asked.push({ resolve, reject });
      this.worker.postMessage(request);
    }).then((reply) => {
      if (reply.kind === 'failed' && 'message' in reply) throw new Error(String(reply.message));
      return reply;
    });
    // Each is waited for in its turn; a failure until then is no unhandled one, which would end the server.
    answer.catch(() => undefined);
    return answer;
  }

  async end(): Promise<void> {
    await this.worker.terminate();
  }
}
