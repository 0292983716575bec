<?php

declare(strict_types=1);

namespace App\Account;

use App\Database\ReadAlong;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Session\DatabaseSessionHandler;

/**
 * Sessions in the database, written when something in them has changed, and once a minute so that
 * "last seen" stays true and nobody at work is signed out. A page that only shows writes nothing.
 */
final class SessionTable extends DatabaseSessionHandler
{
    private const SECONDS = 60;

    /** @var array<string, array{string, int}> id => content and last activity as they are stored */
    private array $stored = [];

    /** @var array<string, mixed>|null */
    private ?array $person = null;

    public function __construct(
        Connection $connection,
        string $table,
        int $minutes,
        Application $app,
        private readonly ReadAlong $along,
    ) {
        parent::__construct($connection, $table, $minutes, $app);
    }

    /** @return array<string, mixed>|null the row of whose session was read; null where it is nobody's yet */
    public function person(): ?array
    {
        return $this->person;
    }

    /** @param  string  $sessionId */
    public function read($sessionId): string
    {
        $query = $this->getQuery()
            ->where('id', $sessionId)
            ->selectRaw('payload, last_activity, person_of(user_id) as person');
        $this->along->select($query, request());
        $row = $query->first();
        if ($row === null) {
            return '';
        }
        $this->exists = true;
        if ($this->expired($row)) {
            return '';
        }
        $person = json_decode((string) $row->person, true);
        $this->person = is_array($person) ? $person : null;
        $this->along->hold($row, request());
        $content = (string) base64_decode((string) $row->payload, true);
        $this->stored[$sessionId] = [$content, (int) $row->last_activity];

        return $content;
    }

    /**
     * @param  string  $sessionId
     * @param  string  $data
     */
    public function write($sessionId, $data): bool
    {
        [$content, $seen] = $this->stored[$sessionId] ?? [null, 0];
        if ($content === $data && $this->currentTime() - $seen < self::SECONDS) {
            return true;
        }
        $this->stored[$sessionId] = [$data, $this->currentTime()];

        return parent::write($sessionId, $data);
    }

    /** @param  string  $sessionId */
    public function destroy($sessionId): bool
    {
        unset($this->stored[$sessionId]);

        return parent::destroy($sessionId);
    }
}
