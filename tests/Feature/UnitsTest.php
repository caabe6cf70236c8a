<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Files\LayoutFiles;
use App\Computed\Land\ComputedLand;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Revision;
use Database\Seeders\SaltingsTramway;
use DOMDocument;
use DOMElement;
use DOMXPath;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Measure\UnitsInUse;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Every page, print and table of a layout is read for words of the other system. */
final class UnitsTest extends FeatureCase
{
    /** A builder's own words, and names that goods are sold by. */
    private const NAMES = '/(?:static )?fibre \d+(?:-\d+)? mm|fibre-\d+mm/iu';

    private const WORDS = [
        'metric' => '/(?<![\w.])(?:\d[\d.,]*\s?(?:mm|cm|m(?!in)|km|ml|cl|l|g|kg|m³|mm²|cm²|m²|°C)(?![\w²³\'’])|mm|cm|cm²|m²|m³|ml|kg'
            .'|°C|kilograms?|litres?|metres?|square metres?|millimetres?|grams?)(?![\w²³])|\/(?:m²|ml|m)(?![\w²³])/u',
        'imperial' => '/(?<![\w.])(?:\d[\d.,\/]*\s?(?:"|in(?! [a-z\d])|ft|oz|lb|fl oz|qt|yd|°F)(?![\w])|fl oz|oz|lb|sq in|sq ft|cu in'
            .'|cu ft|°F|inch(?:es)?|ounces?|pounds?|quarts?|square yards?)(?!\w)/u',
    ];

    /** Pages that hand out machine files or pictures: their figures stay in mm. */
    private const MACHINE = '#/(?:archive|export|rows|mesh|solids|pictures|relief|step|search|weigh)\b'
        .'|\.(?:png|jpg|stl|asc|geojson|dxf|tif|xml|json|gpl)\b'
        .'|/take/(?:asc|geojson|stl|dxf|glb|xml|relief|track)#';

    /** @return iterable<string, array{string, string}> */
    public static function layouts(): iterable
    {
        yield 'the tramway, in inches' => ['tramway', 'metric'];
        yield 'the branch, in millimetres' => ['branch', 'imperial'];
        yield 'the branch with all that is on it, in inches' => ['branch in inches', 'metric'];
    }

    #[DataProvider('layouts')]
    public function test_no_word_of_the_other_system_is_left(string $which, string $foreign): void
    {
        $this->setClock('2026-10-14 18:30');
        $layout = $which === 'tramway'
            ? app(LayoutFiles::class)->store(app(SaltingsTramway::class)->project())
            : $this->demo();
        if ($which === 'branch in inches') {
            $layout->update(['units' => Units::Imperial->value]);
        }
        $own = $this->own($layout);
        $found = [];
        foreach ($this->walk($layout) as $path => $text) {
            foreach (self::foreign(str_replace($own, '…', (string) preg_replace('/\s+/u', ' ', $text)), $foreign) as $word) {
                $found[$word][] = $path;
            }
        }
        $lines = array_map(
            fn (string $word, array $at): string => "{$word} — {$at[0]}".(count($at) > 1 ? ' and '.(count($at) - 1).' more' : ''),
            array_keys($found),
            $found,
        );
        $this->assertSame([], $lines, implode("\n", $lines));
    }

    /** @return iterable<string, array{Units}> */
    public static function systems(): iterable
    {
        yield 'metric' => [Units::Metric];
        yield 'imperial' => [Units::Imperial];
    }

    #[DataProvider('systems')]
    public function test_a_form_that_is_saved_as_it_stands_changes_nothing(Units $units): void
    {
        $this->setClock('2026-10-14 18:30');
        $layout = $this->demo();
        $layout->update(['units' => $units->value]);
        $forms = [];
        foreach ($this->walk($layout, $forms) as $path => $text) {
            continue;
        }
        $this->assertGreaterThan(20, count($forms));
        $stands = $this->told($layout);
        $wrong = [];
        foreach ($forms as $action => [$fields, $page]) {
            $response = $this->from($page)->post($action, $fields);
            $this->assertSame('', (string) session('errors')?->first(), "{$action} from {$page} is taken");
            $this->assertLessThan(400, $response->getStatusCode(), "{$action} from {$page}");
            $now = $this->told($layout);
            $wrong["{$action} from {$page}"] = str_contains($action, '/library/')
                ? $this->madeOther($layout, basename($action))
                : self::changes($stands, $now);
            $stands = $now;
            session()->flush();
        }
        $this->assertSame([], array_filter($wrong));
    }

    public function test_contours_of_an_imperial_layout_lie_at_half_inches(): void
    {
        $layout = app(LayoutFiles::class)->store(app(SaltingsTramway::class)->project());
        $project = app(ProjectLoader::class)->of($layout);
        $levels = UnitsInUse::during(
            Units::Imperial,
            fn (): array => array_column(app(ComputedLand::class)->sheet($project, $project->sections[0])->contours, 'level'),
        );
        $this->assertGreaterThan(3, count($levels));
        foreach ($levels as $level) {
            $this->assertEqualsWithDelta(0.0, $level / 12.7 - round($level / 12.7), 1e-9);
        }
        $land = $this->get("/layouts/{$layout->uid}/sections/{$project->sections[0]->uid}/land")->assertOk();
        preg_match_all('/contour-figure"[^>]*>([^<]*)</', (string) $land->getContent(), $figures);
        $this->assertNotSame([], $figures[1]);
        foreach ($figures[1] as $figure) {
            $this->assertMatchesRegularExpression('/^\d+"$/', html_entity_decode($figure));
        }
    }

    public function test_commands_speak_in_the_units_asked_for_and_count_in_millimetres(): void
    {
        $file = base_path('tests/fixtures/figures/banks.ridge.json');
        $told = function (array $options) use ($file): array {
            Artisan::call('ridge:check', ['file' => $file, '--section' => 'Curve', '--json' => true] + $options);
            $this->assertSame(Units::Metric, UnitsInUse::current(), 'a command leaves nothing behind');

            return json_decode(Artisan::output(), true, 64, JSON_THROW_ON_ERROR)['findings'];
        };
        $metric = $told([]);
        $imperial = $told(['--units' => 'imperial']);
        $this->assertNotSame([], $metric);
        $this->assertSame(array_column($metric, 'figures'), array_column($imperial, 'figures'));
        foreach ($imperial as $finding) {
            $this->assertSame([], self::foreign("{$finding['why']} {$finding['do']}", 'metric'));
        }
        Artisan::call('ridge:land', ['file' => $file, '--section' => 'Hill', '--cell' => '1/2 in', '--json' => true]);
        $fine = Artisan::output();
        Artisan::call('ridge:land', ['file' => $file, '--section' => 'Hill', '--cell' => '12.7', '--json' => true]);
        $this->assertSame($fine, Artisan::output());
    }

    public function test_bad_units_are_told_beside_their_field(): void
    {
        $layout = $this->demo();
        $board = $layout->sections()->firstOrFail();
        foreach (['1 1/0"', '5 furlongs', "2' 30\""] as $bad) {
            $this->patch("/layouts/{$layout->uid}/sections/{$board->uid}", ['width_mm' => $bad])
                ->assertSessionHasErrors(['width_mm' => "“{$bad}” is not a length; try 38 mm, 2.4 m, 125 ft, 6'3\" or 1 1/2\"."]);
        }
        $room = $layout->rooms()->firstOrFail();
        $this->patch("/layouts/{$layout->uid}/rooms/{$room->uid}", ['day_c' => '-3 °R'])
            ->assertSessionHasErrors(['day_c' => '“-3 °R” is not a temperature; try 20 °C or 68 °F.']);
        $this->patch("/layouts/{$layout->uid}/rooms/{$room->uid}", ['day_c' => '68 °F'])->assertSessionHasNoErrors();
        $this->assertEqualsWithDelta(20.0, app(ProjectLoader::class)->of($layout->refresh())->works->rooms[0]->day->temperature, 1e-9);
    }

    /** @return array<string, array{mixed, mixed}> where a recipe that was kept as one’s own says other than the library */
    private function madeOther(Layout $layout, string $id): array
    {
        $own = array_column(
            array_map(fn (OwnRecipe $o): array => [$o->recipe->id, $o->recipe], app(ProjectLoader::class)->works($layout)->recipes),
            1,
            0,
        );
        $started = app(Library::class)->recipe($id);
        $fields = fn (Recipe $recipe): array => Arr::dot(array_diff_key(RecipeFile::write($recipe), ['provenance' => true]));

        return self::changes($fields($started), $fields($own[$id]));
    }

    /** @return array<string, mixed> the layout as a file has it, key by key */
    private function told(Layout $layout): array
    {
        $whole = json_decode(app(LayoutFiles::class)->export($layout->refresh()), true, 64, JSON_THROW_ON_ERROR);

        return Arr::dot(array_diff_key($whole, ['written_at' => true]));
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return array<string, array{mixed, mixed}>
     */
    private static function changes(array $before, array $after): array
    {
        $out = [];
        foreach ($before + $after as $key => $value) {
            if (($before[$key] ?? null) !== ($after[$key] ?? null)) {
                $out[$key] = [$before[$key] ?? null, $after[$key] ?? null];
            }
        }

        return array_slice($out, 0, 12, true);
    }

    /** @return list<string> what the builder wrote or was told at the time, the longest first */
    private function own(Layout $layout): array
    {
        $journal = app(ProjectLoader::class)->complete($layout)->works->journal;
        $said = array_merge(
            array_column($journal->entries, 'sentence'),
            array_column($journal->photos, 'caption'),
            array_map(fn (Revision $r): string => $r->sentence, Revision::query()->get()->all()),
        );
        $said = array_values(array_filter($said, fn (string $words): bool => mb_strlen($words) > 8));
        usort($said, fn (string $a, string $b): int => strlen($b) <=> strlen($a));

        return $said;
    }

    /** @return list<string> each with what stands around it */
    private static function foreign(string $text, string $system): array
    {
        $text = (string) preg_replace(self::NAMES, 'fibre', $text);
        preg_match_all(self::WORDS[$system], $text, $found, PREG_OFFSET_CAPTURE);

        return array_map(
            fn (array $m): string => trim(
                (string) preg_replace('/\s+/u', ' ', mb_strcut($text, max(0, $m[1] - 40), 40 + strlen($m[0]) + 15)),
            ),
            $found[0],
        );
    }

    /**
     * From page to page by their links, each kind of address a few times.
     *
     * @param  array<string, array{array<string, mixed>, string}>  $forms  gathers what changes something: address → fields, page
     * @return iterable<string, string> path → what it says
     */
    private function walk(Layout $layout, array &$forms = []): iterable
    {
        $root = "/layouts/{$layout->uid}";
        $queue = [
            $root,
            "{$root}/settings",
            "{$root}/formations",
            "{$root}/spans",
            "{$root}/spans?span=400&thick=20&rise=50",
            "{$root}/curves?radius=700&length=8000&width=6000&here=72",
            "{$root}/find?q=tarn",
            "{$root}/shelf/shopping.csv",
            "{$root}/shelf/stock.csv",
            "{$root}/shelf/prices.csv",
        ];
        foreach ($layout->sections as $section) {
            foreach ([
                'water',
                'cuts',
                'coats',
                'coats/schools',
                'growth',
                'land',
                'land/at?x=300&y=200',
                'land/tape?points=100,100;400,300',
            ] as $page) {
                $queue[] = "{$root}/sections/{$section->uid}/{$page}";
            }
        }
        $seen = $kinds = [];
        while (($path = array_shift($queue)) !== null) {
            $kind = (string) preg_replace(['/[0-9A-Z]{26}/', '/=[^&]*/'], ['*', '='], $path);
            if (isset($seen[$path]) || preg_match(self::MACHINE, $path) === 1 || ($kinds[$kind] = ($kinds[$kind] ?? 0) + 1) > 3) {
                continue;
            }
            $seen[$path] = true;
            $response = $this->get($path);
            $this->assertLessThan(500, $response->getStatusCode(), $path);
            if (! $response->isOk()) {
                continue;
            }
            $body = $response->baseResponse instanceof StreamedResponse ? $response->streamedContent() : (string) $response->getContent();
            // Calendars fold their lines.
            $body = str_starts_with($body, 'BEGIN:VCALENDAR') ? str_replace("\r\n ", '', $body) : $body;
            if (str_starts_with($body, '%PDF')) {
                yield $path => self::printed($body);
            } elseif (str_starts_with(ltrim($body), '<')) {
                [$text, $links] = self::read($body);
                $forms += array_map(fn (array $fields): array => [$fields, $path], self::forms($body));
                array_push($queue, ...array_filter($links, fn (string $to): bool => str_starts_with($to, "{$root}/")));
                yield $path => $text;
            } else {
                yield $path => $body;
            }
        }
    }

    /** @return array{string, list<string>} all that is seen or read out, and where it leads */
    private static function read(string $html): array
    {
        $document = new DOMDocument();
        @$document->loadHTML('<?xml encoding="UTF-8">'.$html);
        $at = new DOMXPath($document);
        foreach (iterator_to_array($at->query('//script|//style|//textarea') ?: []) as $out) {
            $out->parentNode?->removeChild($out);
        }
        $text = '';
        foreach ($at->query('//text()') ?: [] as $node) {
            $text .= ' '.$node->textContent.' ';
        }
        // A unit alone is found as one that stands after a figure.
        foreach ($at->query('//small') ?: [] as $small) {
            $text .= ' 1 '.trim($small->textContent).' ';
        }
        $links = [];
        foreach ($at->query('//*') ?: [] as $element) {
            if ($element instanceof DOMElement) {
                foreach (['aria-label', 'title', 'placeholder', 'value', 'data-origin', 'alt', 'data-said'] as $name) {
                    $text .= ' | '.$element->getAttribute($name);
                }
                foreach (['href', 'hx-get', 'src', 'action'] as $name) {
                    $links[] = (string) preg_replace('#^https?://[^/]+|\#.*$#', '', $element->getAttribute($name));
                }
            }
        }

        return [$text, array_values(array_unique(array_filter($links)))];
    }

    /** @return array<string, array<string, mixed>> address → fields as they stand, of forms that change something */
    private static function forms(string $html): array
    {
        $document = new DOMDocument();
        @$document->loadHTML('<?xml encoding="UTF-8">'.$html);
        $at = new DOMXPath($document);
        $out = [];
        foreach ($at->query('//form[.//input[@name="_method"][translate(@value, "PATCH", "patch")="patch"]]') ?: [] as $form) {
            $pairs = [];
            $fields = './/input[@name and @type!="checkbox" and @type!="radio" and @type!="file"]|.//input[@name and not(@type)]|'
                .'.//input[@name and @checked]|.//textarea[@name]|.//select[@name]';
            foreach ($at->query($fields, $form) ?: [] as $field) {
                if ($field instanceof DOMElement) {
                    $chosen = $at->query('.//option[@selected]', $field)?->item(0) ?? $at->query('.//option', $field)?->item(0);
                    $value = match ($field->tagName) {
                        'select' => $chosen instanceof DOMElement ? $chosen->getAttribute('value') : '',
                        'textarea' => $field->textContent,
                        default => $field->getAttribute('value'),
                    };
                    $pairs[] = urlencode($field->getAttribute('name')).'='.urlencode($value);
                }
            }
            parse_str(implode('&', $pairs), $read);
            if ($form instanceof DOMElement) {
                $out[(string) preg_replace('#^https?://[^/]+#', '', $form->getAttribute('action'))] = $read;
            }
        }

        return $out;
    }

    /** What a PDF has in words. */
    private static function printed(string $pdf): string
    {
        preg_match_all('/stream\r?\n(.*?)\r?\nendstream/s', $pdf, $streams);
        $text = '';
        foreach ($streams[1] as $stream) {
            preg_match_all('/\(((?:[^()\\\\]|\\\\.)*)\)\s*Tj/', @gzuncompress($stream) ?: $stream, $words);
            $text .= implode(" \n ", array_map(stripslashes(...), $words[1]))."\n";
        }

        return (string) iconv('windows-1252', 'UTF-8//IGNORE', $text);
    }
}
