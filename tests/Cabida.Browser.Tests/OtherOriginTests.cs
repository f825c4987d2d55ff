using System.Net;
using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>A page of another origin, in the same browser, tries to read and to change things, and cannot.</summary>
public sealed class OtherOriginTests : IDisposable
{
    private readonly Workshop shop = new(demo: true);

    public void Dispose() => shop.Dispose();

    [Fact]
    public void It_reads_nothing_changes_nothing_and_frames_nothing()
    {
        using var listener = new HttpListener();
        var port = Workshop.FreePort();
        // Another port of the same computer is another origin, and another name of it is another site.
        listener.Prefixes.Add($"http://localhost:{port}/");
        listener.Start();
        _ = Task.Run(async () =>
        {
            while (listener.IsListening)
            {
                var asked = await listener.GetContextAsync();
                asked.Response.ContentType = "text/html";
                asked.Response.Close("<!doctype html><title>elsewhere</title><body></body>"u8.ToArray(), willBlock: true);
            }
        });
        using var client = new HttpClient { BaseAddress = new Uri(shop.Address) };
        string Kept() =>
            client.GetStringAsync("/api/films").GetAwaiter().GetResult() + client.GetStringAsync("/api/drawer").GetAwaiter().GetResult();
        var before = Kept();
        shop.Driver.Navigate().GoToUrl($"http://localhost:{port}/");
        var told =
            (IReadOnlyCollection<object>)
                ((IJavaScriptExecutor)shop.Driver).ExecuteAsyncScript(
                    """
                    const [home, done] = [arguments[0], arguments[arguments.length - 1]];
                    const tries = [];
                    const ask = async (name, path, how) => {
                      try {
                        const answer = await fetch(home + path, how);
                        tries.push(`${name}: ${answer.type === 'opaque' ? 'unread' : `READ ${answer.status}`}`);
                      } catch { tries.push(`${name}: nothing`); }
                    };
                    const loads = (tag, path, more = {}) => new Promise((go) => {
                      const e = Object.assign(document.createElement(tag), more);
                      e.onload = () => { tries.push(`${tag}: LOADED`); go(); };
                      e.onerror = () => { tries.push(`${tag}: nothing`); go(); };
                      e[tag === 'link' ? 'href' : 'src'] = home + path;
                      document.body.append(e);
                    });
                    const form = (type, path) => new Promise((go) => {
                      const frame = Object.assign(document.createElement('iframe'), { name: `f${tries.length}` });
                      const how = { method: 'post', action: home + path, enctype: type, target: frame.name };
                      const f = Object.assign(document.createElement('form'), how);
                      f.append(Object.assign(document.createElement('input'), { name: '{"name":"taken over","x":"', value: '"}' }));
                      frame.onload = () => go();
                      document.body.append(frame, f);
                      f.submit();
                      setTimeout(go, 4000);
                    });
                    (async () => {
                      await ask('read', '/api/films', {});
                      await ask('read blind', '/api/films', { mode: 'no-cors' });
                      await ask('undo', '/api/films/navy-vinyl/undo', { method: 'POST', headers: { 'If-Match': '*' } });
                      await ask('demo', '/api/demo', { method: 'POST', mode: 'no-cors' });
                      for (const type of ['text/plain', 'application/json', 'application/x-www-form-urlencoded'])
                        await ask(type, '/api/films', { method: 'POST', mode: 'no-cors', body: new Blob(['{"name":"mine"}'], { type }) });
                      await ask('copy', '/api/safekeeping/copies', { method: 'POST', mode: 'no-cors' });
                      for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data'])
                        await form(type, '/api/films');
                      await loads('img', '/mark.svg');
                      await loads('script', '/api/films');
                      await loads('link', '/assets/index.css', { rel: 'stylesheet' });
                      const frame = document.createElement('iframe');
                      frame.src = home + '/jobs';
                      document.body.append(frame);
                      await new Promise((go) => { frame.onload = go; setTimeout(go, 4000); });
                      let seen = 'nothing';
                      try { seen = frame.contentDocument ? 'SEEN' : 'nothing'; } catch { seen = 'nothing'; }
                      tries.push(`frame: ${seen}`);
                      done(tries);
                    })();
                    """,
                    shop.Address
                )!;
        var tries = told.Select(t => $"{t}").ToList();
        tries.Count.ShouldBeGreaterThan(10, string.Join('\n', tries));
        tries.ShouldNotContain(t => t.Contains("READ", StringComparison.Ordinal), string.Join('\n', tries));
        tries.ShouldNotContain(t => t.Contains("LOADED", StringComparison.Ordinal), string.Join('\n', tries));
        tries.ShouldNotContain(t => t.Contains("SEEN", StringComparison.Ordinal), string.Join('\n', tries));
        Kept().ShouldBe(before);
        listener.Stop();

        // Its own page does all of that.
        shop.Driver.Navigate().GoToUrl(shop.Address + "/jobs");
        new Page(shop).ReadsSoon(".slips", "Crew day");
    }
}
