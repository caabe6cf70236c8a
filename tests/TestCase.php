<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;

abstract class TestCase extends FrameworkTestCase
{
    public function createApplication(): \Illuminate\Foundation\Application
    {
        $app = require __DIR__.'/../bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    /**
     * An application goes in a ring of objects, and PHP looks for rings the more seldom the longer a run has found few of them: left to
     * itself, hundreds of applications would stand in memory by the end.
     */
    protected function tearDown(): void
    {
        parent::tearDown();
        gc_collect_cycles();
    }
}
