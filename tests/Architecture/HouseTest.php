<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The boundaries of the house, held by static analysis. */
final class HouseTest
{
    /** Core folders in order: each may use those before it. */
    private const CORE = [
        'Measure', 'Findings', 'Geometry', 'Track', 'Land', 'Cure', 'Cuts', 'Planting', 'Shelf', 'Coats', 'Schedule', 'Water', 'View',
        'Journal', 'Project', 'Plan', 'Pots', 'Rounds', 'Rulebook', 'Interchange',
    ];

    /** Layers of the application in order: each may use those before it. */
    private const APP = ['Database', 'Devices', 'Models', 'Computed', 'Actions', 'Pages', 'Jobs', 'Http', 'Console', 'Providers'];

    #[TestRule]
    public function core_knows_no_framework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('IdleRidge\Core'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('App'),
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('Database'),
                Selector::inNamespace('Symfony'),
            )
            ->because('the computation is pure PHP');
    }

    /** @return iterable<Rule> */
    #[TestRule]
    public function core_folders_look_upward_only(): iterable
    {
        return self::inOrder('IdleRidge\Core', self::CORE);
    }

    /** @return iterable<Rule> */
    #[TestRule]
    public function layers_of_the_application_look_upward_only(): iterable
    {
        return self::inOrder('App', self::APP);
    }

    #[TestRule]
    public function controllers_do_not_compute(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Http'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('IdleRidge\Core\Land'),
                Selector::inNamespace('IdleRidge\Core\Track'),
                Selector::inNamespace('IdleRidge\Core\Geometry'),
                Selector::inNamespace('IdleRidge\Core\Interchange'),
            )
            ->because('actions and pages do');
    }

    #[TestRule]
    public function nothing_below_the_web_knows_it(): Rule
    {
        return PHPat::rule()
            ->classes(
                Selector::inNamespace('App\Models'),
                Selector::inNamespace('App\Computed'),
                Selector::inNamespace('App\Actions'),
                Selector::inNamespace('App\Pages'),
            )
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('Illuminate\Http'))
            ->because('web and command line share them');
    }

    #[TestRule]
    public function pages_write_nothing(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Pages'))
            ->shouldNotDependOn()
            ->classes(Selector::classname('App\Actions\Ledger\ChangeSet'))
            ->because('what changes a layout is an action');
    }

    /**
     * @param  list<string>  $folders
     * @return iterable<Rule>
     */
    private static function inOrder(string $under, array $folders): iterable
    {
        foreach ($folders as $k => $folder) {
            $later = array_slice($folders, $k + 1);
            if ($later !== []) {
                yield PHPat::rule()
                    ->classes(Selector::inNamespace("{$under}\\{$folder}"))
                    ->shouldNotDependOn()
                    ->classes(...array_map(fn (string $name) => Selector::inNamespace("{$under}\\{$name}"), $later))
                    ->because("{$folder} stands before ".implode(', ', $later));
            }
        }
    }
}
