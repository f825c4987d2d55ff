using OpenQA.Selenium;

namespace Cabida.Browser.Tests;

/// <summary>What a maker does on a page: read, click, type. Everything waits for what it looks for.</summary>
public sealed class Page(Workshop shop)
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(90);

    public IWebDriver Driver => shop.Driver;

    public void Open(string path)
    {
        Driver.Navigate().GoToUrl(shop.Address + path);
        See("header.frame");
    }

    public IWebElement See(string css) =>
        Until(() => Driver.FindElements(By.CssSelector(css)).FirstOrDefault(), () => $"“{css}” was not seen");

    public IWebElement Field(string label) =>
        Until(
            () =>
                ((IJavaScriptExecutor)Driver).ExecuteScript(
                    """
                    const named = (e) => e.getAttribute('aria-label') ?? (e.labels?.[0] ? [...e.labels[0].childNodes].filter((n) => n.nodeType === 3).map((n) => n.textContent).join('').trim() : '');
                    return [...document.querySelectorAll('input, textarea, select')].find((e) => named(e) === arguments[0]);
                    """,
                    label
                ) as IWebElement,
            () => $"no field “{label}”"
        );

    public void Type(string label, string text) =>
        Until(
            () =>
            {
                var field = Field(label);
                field.SendKeys(Keys.Control + "a");
                field.SendKeys(text.Length == 0 ? Keys.Delete : text);
                return field;
            },
            () => $"nothing could be typed into “{label}”"
        );

    /// <summary>
    /// Clicks an element once it is there and nothing lies over it; while a page grows, what is pointed at may move away.
    /// </summary>
    public void Press(string css, string? words = null) =>
        Until(
            () =>
                Driver.FindElements(By.CssSelector(css)).FirstOrDefault(e => words is null || e.Text == words) is { } wanted
                    ? Pressed(wanted)
                    : null,
            () => $"no “{css}” could be clicked {words}"
        );

    /// <summary>Puts a long text into a field as a paste does: at once.</summary>
    public void Paste(string label, string text)
    {
        var field = Field(label);
        ((IJavaScriptExecutor)Driver).ExecuteScript(
            """
            const [field, text] = arguments;
            const set = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value').set;
            set.call(field, text);
            field.dispatchEvent(new Event('input', { bubbles: true }));
            """,
            field,
            text
        );
    }

    public void Choose(string label, string option) =>
        Until(
            () =>
                Field(label).FindElements(By.TagName("option")).FirstOrDefault(o => Clean(o.Text) == option) is { } wanted
                    ? Pressed(wanted)
                    : null,
            () => $"no choice “{option}” in “{label}”"
        );

    public void Click(string words) =>
        Until(
            () =>
                Driver.FindElements(By.CssSelector("button, a")).FirstOrDefault(e => e.Displayed && e.Enabled && Clean(e.Text) == words)
                    is { } wanted
                    ? Pressed(wanted)
                    : null,
            () => $"nothing to click called “{words}”"
        );

    public void ReadsSoon(string css, string words) =>
        Until(
            () => Driver.FindElements(By.CssSelector(css)).FirstOrDefault(e => Clean(e.Text).Contains(words, StringComparison.Ordinal)),
            () =>
                $"“{css}” never read “{words}”, but "
                + $"“{string.Join(" | ", Driver.FindElements(By.CssSelector(css)).Select(e => Clean(e.Text)))}”"
        );

    /// <summary>Waits until no button or link of these words is left.</summary>
    public void GoneSoon(string words) =>
        Until(
            () => Driver.FindElements(By.CssSelector("button, a")).Any(e => Clean(e.Text) == words) ? null : words,
            () => $"“{words}” is still there"
        );

    /// <summary>Waits until the words are no longer within an element.</summary>
    public void GoneSoonFrom(string css, string words) =>
        Until(
            () => Text(css) is var now && now.Contains(words, StringComparison.Ordinal) ? null : now,
            () => $"“{words}” is still in “{css}”"
        );

    public string Text(string css) => Clean(See(css).Text);

    public void Saved() =>
        Until(() => Driver.FindElements(By.CssSelector(".saved-note.saved")).FirstOrDefault(), () => "it was never saved");

    public static T Until<T>(Func<T?> look, string otherwise)
        where T : class => Until(look, () => otherwise);

    /// <summary>Looks until there is something; <paramref name="otherwise"/> tells, at the end, what was there instead.</summary>
    public static T Until<T>(Func<T?> look, Func<string> otherwise)
        where T : class
    {
        var until = DateTime.UtcNow + Patience;
        while (true)
        {
            try
            {
                if (look() is { } found)
                {
                    return found;
                }
            }
            catch (StaleElementReferenceException)
            {
                // The page was drawn anew while it was read; read it again.
            }
            catch (ElementNotInteractableException)
            {
                // It is not shown yet, or something came to lie over it.
            }

            if (DateTime.UtcNow > until)
            {
                throw new InvalidOperationException(otherwise());
            }

            Thread.Sleep(60);
        }
    }

    private static IWebElement Pressed(IWebElement element)
    {
        element.Click();
        return element;
    }

    private static string Clean(string text) => string.Join(' ', text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
}
