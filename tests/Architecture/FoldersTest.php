<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** What static rules cannot say: that no two folders need each other, what a folder may be called, and where a layer's classes lie. */
final class FoldersTest extends TestCase
{
    /** Folders of core and app that there are; a new one is named here, so that somebody thinks about its name. */
    private const LAYERS = [
        'app' => ['Actions', 'Computed', 'Console', 'Database', 'Devices', 'Http', 'Jobs', 'Models', 'Pages', 'Providers'],
        'core' => [
            'Coats', 'Cure', 'Cuts', 'Findings', 'Geometry', 'Interchange', 'Journal', 'Land', 'Measure', 'Plan', 'Planting', 'Pots',
            'Project', 'Rounds', 'Rulebook', 'Schedule', 'Shelf', 'Track', 'View', 'Water',
        ],
    ];

    private const NO_NAMES = ['Helpers', 'Utils', 'Managers', 'Misc', 'Common', 'Services'];

    /** Verbs that a class which does one thing begins with. */
    private const VERBS = ['Save', 'Import', 'Export', 'Restore', 'Drag', 'Show', 'Compare', 'Open'];

    public function test_no_two_folders_need_each_other(): void
    {
        foreach (['app' => 'App', 'core' => 'IdleRidge\Core'] as $folder => $namespace) {
            $needs = self::needs($folder, $namespace);
            foreach (array_keys($needs) as $one) {
                $this->assertArrayNotHasKey($one, self::reached($needs, $one), "{$one} needs itself by way of other folders");
            }
        }
    }

    public function test_layers_have_the_names_they_should(): void
    {
        foreach (self::LAYERS as $root => $layers) {
            $there = array_map(basename(...), glob(self::root()."/{$root}/*", GLOB_ONLYDIR) ?: []);
            sort($there);
            $this->assertSame($layers, $there, $root);
        }
        foreach (self::classes('app') + self::classes('core') as $class => $file) {
            foreach (explode('\\', $class) as $part) {
                $this->assertNotContains($part, self::NO_NAMES, $file);
            }
        }
    }

    public function test_what_does_one_thing_says_it_with_a_standard_verb(): void
    {
        $odd = '/^(Keep|Lay|Put|Take|Bring|Fix|Turn|Move|Read|Try|Look)[A-Z]/';
        foreach (self::classes('app') as $class => $file) {
            $name = substr($class, (int) strrpos($class, '\\') + 1);
            if (str_contains($class, '\Actions\\') || str_contains($class, '\Pages\\')) {
                $this->assertDoesNotMatchRegularExpression($odd, $name, "{$file}: ".implode(', ', self::VERBS));
            }
        }
    }

    /** @return array<string, array<string, true>> folder → folders that its classes name */
    private static function needs(string $root, string $namespace): array
    {
        $needs = [];
        foreach (self::classes($root) as $class => $file) {
            $from = substr($class, 0, (int) strrpos($class, '\\'));
            $needs[$from] ??= [];
            preg_match_all('~(?:^use |\\\\)('.preg_quote($namespace, '~').'(?:\\\\\w+)+)~m', (string) file_get_contents($file), $found);
            foreach ($found[1] as $name) {
                $to = substr($name, 0, (int) strrpos($name, '\\'));
                if ($to !== $from && $to !== $namespace) {
                    $needs[$from][$to] = true;
                }
            }
        }

        return $needs;
    }

    /**
     * @param  array<string, array<string, true>>  $needs
     * @return array<string, true>
     */
    private static function reached(array $needs, string $from): array
    {
        $seen = [];
        $open = array_keys($needs[$from]);
        while ($open !== []) {
            $one = array_pop($open);
            if (! isset($seen[$one])) {
                $seen[$one] = true;
                array_push($open, ...array_keys($needs[$one] ?? []));
            }
        }

        return $seen;
    }

    /** @return array<string, string> class → its file */
    private static function classes(string $root): array
    {
        $out = [];
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(self::root()."/{$root}")) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $under = $root === 'core' ? 'IdleRidge\Core' : 'App';
                $inside = substr($file->getPathname(), strlen(self::root()."/{$root}"), -4);
                $out[$under.str_replace('/', '\\', $inside)] = $file->getPathname();
            }
        }

        return $out;
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2);
    }
}
