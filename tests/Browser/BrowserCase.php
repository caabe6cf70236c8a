<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Layout;
use App\Models\Section;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Demo;
use Tests\TestCase;

/** The real interface in headless Chromium, on a server, a port and a database of its own. */
abstract class BrowserCase extends TestCase
{
    protected static ?Bench $bench = null;

    protected RemoteWebDriver $browser;

    /** What a person did so far: touches, typed fields, keys. */
    protected int $actions = 0;

    public function createApplication(): \Illuminate\Foundation\Application
    {
        $app = parent::createApplication();
        $app['config']->set('database.connections.sqlite.database', Bench::database());
        $app['config']->set('database.connections.queue.database', Bench::folder().'/queue.sqlite');
        $app['config']->set('ridge.clock_file', Bench::clock());

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        if (self::$bench === null) {
            Bench::clear();
            Artisan::call('migrate', ['--force' => true]);
            self::$bench = Bench::start();
        }
        $this->browser = self::$bench->browser();
        // Nothing of the last page asks on after its layout is gone.
        $this->browser->get('about:blank');
        DB::table('layouts')->delete();
        $this->clock('2026-10-14T17:10:00Z');
        $this->browser->manage()->deleteAllCookies();
        // What the last test left in the console is not this one's.
        $this->browser->manage()->getLog('browser');
        $this->window(1280, 800);
    }

    /** Steps the one clock of server and test to a moment. */
    protected function clock(string $moment): void
    {
        file_put_contents(Bench::clock(), $moment);
    }

    protected function window(int $width, int $height): void
    {
        self::$bench?->window($width, $height);
    }

    protected function demo(): Section
    {
        return Demo::store()->sections()->firstOrFail();
    }

    protected function land(Section $section, string $query = ''): void
    {
        $layout = Layout::query()->findOrFail($section->layout_id);
        $this->visit("/layouts/{$layout->uid}/sections/{$section->uid}/land{$query}");
    }

    protected function visit(string $path): void
    {
        $this->browser->get(self::$bench?->address().$path);
        $this->settled();
    }

    protected function js(string $script, mixed ...$arguments): mixed
    {
        return $this->browser->executeScript($script, $arguments);
    }

    /** Waits until a script gives something true. */
    protected function until(string $script, string $what, int $seconds = 20): void
    {
        for ($k = 0; $k < 20 * $seconds; $k++) {
            if ($this->js("return Boolean({$script})")) {
                return;
            }
            usleep(50_000);
        }
        $this->fail("Waited in vain for: {$what}");
    }

    /** Marks the page from now on where it is left, by a form, a link or a script. */
    private function watch(): void
    {
        $this->js('const root = document.documentElement, leave = () => { root.dataset.leaving = "yes"; };
            addEventListener("submit", (e) => e.defaultPrevented || e.target.method === "dialog" || leave());
            addEventListener("beforeunload", leave);
            addEventListener("click", (e) => {
                const a = e.target.closest?.("a[href]");
                a && !e.defaultPrevented && !a.hash && !a.target && !a.hasAttribute("download") && leave();
            });');
    }

    protected function settled(): void
    {
        $this->until(
            "!document.documentElement.dataset.leaving && document.readyState === 'complete' && "
                ."!document.querySelector('.htmx-request, .htmx-swapping, .htmx-settling') && document.fonts.status === 'loaded'",
            'a settled page',
        );
    }

    protected function find(string $css): RemoteWebElement
    {
        $element = $this->browser->findElement(WebDriverBy::cssSelector($css));
        \assert($element instanceof RemoteWebElement);

        return $element;
    }

    protected function button(string $words): RemoteWebElement
    {
        $element = $this->browser->findElement(WebDriverBy::xpath("//*[self::button or self::a][normalize-space(text())='{$words}']"));
        \assert($element instanceof RemoteWebElement);

        return $element;
    }

    protected function touch(RemoteWebElement $element): void
    {
        $this->actions++;
        $this->watch();
        $element->click();
        $this->settled();
    }

    protected function type(string $css, string $text): void
    {
        $this->actions++;
        $field = $this->find($css);
        $field->sendKeys(WebDriverKeys::CONTROL.'a');
        $field->sendKeys($text);
    }

    protected function choose(string $css, string $value): void
    {
        $this->js(
            'const s = document.querySelector(arguments[0]); s.value = arguments[1]; s.dispatchEvent(new Event("change", {bubbles: true}))',
            $css,
            $value,
        );
    }

    protected function press(string $keys): void
    {
        $this->actions++;
        $this->watch();
        $this->browser->getKeyboard()->sendKeys($keys);
        $this->settled();
    }

    /** From the list of layouts to a bare board. */
    protected function beginBare(string $name): void
    {
        $this->visit('/');
        $this->touch($this->button('Begin a layout'));
        $this->touch($this->find('#f-board-bare'));
        $this->until('document.querySelector("#f-board-bare").checked', 'the bare board');
        $this->type('#f-name', $name);
        $this->touch($this->button('Begin'));
        $this->until('document.querySelector("#plan")', 'its land');
    }

    /** Touches the plan at a place on the board, mm. */
    protected function touchPlan(float $x, float $y): void
    {
        $this->actions++;
        [$px, $py] = $this->onScreen($x, $y);
        $this->watch();
        self::$bench?->pointer([['move', $px, $py], ['down'], ['up']]);
        $this->settled();
    }

    /** @return array{int, int} */
    protected function onScreen(float $x, float $y): array
    {
        return $this->js(
            'const p = document.getElementById("plan"), d = p.dataset, at = p.createSVGPoint();
            at.x = Number(d.left) + arguments[0] * d.scale; at.y = Number(d.top) + (d.depth - arguments[1]) * d.scale;
            const s = at.matrixTransform(p.getScreenCTM()); return [Math.round(s.x), Math.round(s.y)];',
            $x,
            $y,
        );
    }

    /** @return array{int, int} the middle of an element on screen */
    protected function middle(string $css): array
    {
        return $this->js(
            'const r = document.querySelector(arguments[0]).getBoundingClientRect(); return '
                .'[Math.round(r.x + r.width / 2), Math.round(r.y + r.height / 2)];',
            $css,
        );
    }

    /** No script error and no breach of the content policy so far. */
    protected function assertQuietConsole(): void
    {
        $lines = array_filter(
            $this->browser->manage()->getLog('browser'),
            fn (array $line): bool => $line['level'] === 'SEVERE' &&
                ! str_contains($line['message'], ' 422 ') &&
                ! str_contains($line['message'], ' 409 '),
        );
        $this->assertSame([], array_values(array_map(fn (array $line): string => $line['message'], $lines)));
    }
}
