<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Files\LayoutFiles;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Revision;
use Database\Seeders\SaltingsTramway;
use DOMDocument;
use DOMElement;
use DOMXPath;
use IdleRidge\Core\Measure\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Every page, print and table of a layout is read for words of the other system. */
final class UnitsTest extends FeatureCase
{
    /** A builder's own words, and names that goods are sold by. */
    private const NAMES = '/(?:static )?fibre \d+(?:-\d+)? mm|fibre-\d+mm/iu';

    private const WORDS = [
        'metric' => '/(?<![\w.])(?:\d[\d.,]*\s?(?:mm|cm|m(?!in)|km|ml|cl|l|g|kg|m³|mm²|cm²|m²|°C)(?![\w²³\'’])|mm|cm|cm²|m²|m³|ml|kg|°C|kilograms?|litres?|metres?|'
            .'square metres?|millimetres?|grams?)(?![\w²³])|\/(?:m²|ml|m)(?![\w²³])/u',
        'imperial' => '/(?<![\w.])(?:\d[\d.,\/]*\s?(?:"|in(?! [a-z\d])|ft|oz|lb|fl oz|qt|yd|°F)(?![\w])|fl oz|oz|lb|sq in|sq ft|cu in|cu ft|°F|inch(?:es)?|ounces?|pounds?|'
            .'quarts?|square yards?)(?!\w)/u',
    ];

    /** Pages that hand out machine files or pictures: their figures stay in mm. */
    private const MACHINE = '#/(?:archive|export|rows|mesh|solids|pictures|relief|step|search|weigh)\b|\.(?:png|jpg|stl|asc|geojson|dxf|tif|xml|json|gpl)\b'
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
        $lines = array_map(fn (string $word, array $at): string => "{$word} — {$at[0]}".(count($at) > 1 ? ' and '.(count($at) - 1).' more' : ''), array_keys($found), $found);
        $this->assertSame([], $lines, implode("\n", $lines));
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

        return array_map(fn (array $m): string => trim((string) preg_replace('/\s+/u', ' ', mb_strcut($text, max(0, $m[1] - 40), 40 + strlen($m[0]) + 15))), $found[0]);
    }

    /**
     * From page to page by their links, each kind of address a few times.
     *
     * @return iterable<string, string> path → what it says
     */
    private function walk(Layout $layout): iterable
    {
        $root = "/layouts/{$layout->uid}";
        $queue = [$root, "{$root}/settings", "{$root}/find?q=tarn", "{$root}/shelf/shopping.csv", "{$root}/shelf/stock.csv", "{$root}/shelf/prices.csv"];
        foreach ($layout->sections as $section) {
            foreach (['water', 'cuts', 'coats', 'coats/schools', 'growth', 'land', 'land/at?x=300&y=200', 'land/tape?points=100,100;400,300'] as $page) {
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
