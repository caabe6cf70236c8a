<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** What static analysis cannot see: where time and chance come from, what stays in memory. */
final class HouseRulesTest extends TestCase
{
    public function test_time_comes_from_the_clock_alone(): void
    {
        foreach (self::files(['core', 'app', 'database', 'resources/js', 'routes'], ['php', 'js']) as $file => $text) {
            if (str_contains($file, 'app/Computed/Clock/')) {
                continue;
            }
            $this->assertSame(
                0,
                preg_match(
                    '/(?<![>:\w$])(now|time|hrtime|microtime|date|mktime|strtotime)\(|new '
                        .'\\\\?DateTime(Immutable)?\(\)|Carbon::|\bDate\.now\(|new Date\(\)/',
                    $text,
                    $found,
                ),
                $file.': '.($found[0] ?? ''),
            );
        }
    }

    public function test_chance_in_the_core_takes_a_seed(): void
    {
        foreach (self::files(['core'], ['php']) as $file => $text) {
            $this->assertSame(
                0,
                preg_match('/\b(rand|mt_rand|random_int|shuffle|array_rand|uniqid)\(/', $text, $found),
                $file.': '.($found[0] ?? ''),
            );
        }
    }

    public function test_the_views_hold_no_styles_handlers_or_queries(): void
    {
        foreach (self::files(['resources/views'], ['php']) as $file => $text) {
            $this->assertSame(
                0,
                preg_match(
                    '/\sstyle=|\son(click|change|load|submit|input)=|::query\(|DB::'
                        .'|->(first|get|find)OrFail\(|(sections|runs|features|revisions)\(\)->/',
                    $text,
                    $found,
                ),
                $file.': '.($found[0] ?? ''),
            );
        }
    }

    /** Such a function is a ring: all it knows stays in memory until rings are looked for. A method calls itself as well. */
    public function test_no_function_in_a_variable_holds_itself(): void
    {
        foreach (self::files(['app', 'core', 'tests'], ['php']) as $file => $text) {
            $this->assertSame(
                0,
                preg_match('/\$(\w+) = (static )?function\s*\([^{]*use\s*\([^)]*&\$\1\b/', $text, $found),
                $file.': '.($found[0] ?? ''),
            );
        }
    }

    /**
     * @param  list<string>  $folders
     * @param  list<string>  $endings
     * @return iterable<string, string>
     */
    private static function files(array $folders, array $endings): iterable
    {
        $root = dirname(__DIR__, 2);
        foreach ($folders as $folder) {
            foreach (
                new RecursiveIteratorIterator(
                    new RecursiveDirectoryIterator("{$root}/{$folder}", RecursiveDirectoryIterator::SKIP_DOTS),
                ) as $file
            ) {
                /** @var SplFileInfo $file */
                if (in_array($file->getExtension(), $endings, true)) {
                    yield substr($file->getPathname(), strlen($root) + 1) => (string) file_get_contents($file->getPathname());
                }
            }
        }
    }
}
