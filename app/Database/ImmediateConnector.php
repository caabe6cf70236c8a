<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector;
use PDO;

/** Opens SQLite files with transactions that take their turn to write when they begin. */
final class ImmediateConnector extends SQLiteConnector
{
    /**
     * @param  string  $dsn
     * @param  string|null  $username
     * @param  string|null  $password
     * @param  array<int, mixed>  $options
     */
    protected function createPdoConnection($dsn, $username, $password, $options): PDO
    {
        return new ImmediatePdo($dsn, $username, $password, $options);
    }

    /**
     * Waiting comes first: the other settings may have to wait already.
     *
     * @param  PDO  $connection
     * @param  array<string, mixed>  $config
     */
    protected function configureForeignKeyConstraints($connection, array $config): void
    {
        $this->configureBusyTimeout($connection, $config);
        parent::configureForeignKeyConstraints($connection, $config);
    }
}
