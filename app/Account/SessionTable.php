<?php

declare(strict_types=1);

namespace App\Account;

use App\Bridge\BellBridge;
use App\Catalogue\CompiledCatalogue;
use App\Database\ReadAlong;
use Illuminate\Session\DatabaseSessionHandler;

/**
 * Sessions in the database, written when something in them has changed, and once a minute so that
 * "last seen" stays true and nobody at work is signed out. A page that only shows writes nothing. The minute counts for
 * the browser too: it is told anew how long its session lasts with every "last seen", and not with every page.
 */
final class SessionTable extends DatabaseSessionHandler
{
    private const SECONDS = 60;

    /** Read with the session for a page that only shows. */
    private const ALONG = [BellBridge::ATTRIBUTE, CompiledCatalogue::ASKED];

    private const OWN = ['payload', 'last_activity', 'person', ...self::ALONG];

    /** @var array<string, array{string, int}> id => content and last activity as they are stored */
    private array $stored = [];

    /** @var array<string, mixed>|null */
    private ?array $person = null;

    /** When somebody was last seen, for the row that is being written. */
    private ?int $seen = null;

    /** @return array<string, mixed>|null the row of whose session was read; null where it is nobody's yet */
    public function person(): ?array
    {
        return $this->person;
    }

    /** @param  string  $sessionId */
    public function read($sessionId): string
    {
        $request = request();
        $job = ReadAlong::job($request);
        $row = $this->arrival($sessionId, $request->isMethodSafe(), $job);
        if ($row === null) {
            return '';
        }
        $this->exists = true;
        if ($this->expired((object) $row)) {
            return '';
        }
        $person = json_decode((string) $row['person'], true);
        $this->person = is_array($person) ? $person : null;
        $along = array_filter(array_intersect_key($row, array_flip(self::ALONG)), is_string(...));
        ReadAlong::hold($request, $along, $job === null ? null : array_diff_key($row, array_flip(self::OWN)));
        $content = (string) base64_decode((string) $row['payload'], true);
        $this->stored[$sessionId] = [$content, (int) $row['last_activity']];

        return $content;
    }

    /** @return array<string, mixed>|null the row of the session, with what is read along */
    private function arrival(string $id, bool $shows, ?int $job): ?array
    {
        $asked = implode(', ', self::OWN).($job === null ? '' : ', mark, path_mark, (held).*');
        $row = $this->connection->selectOne(
            "select {$asked} from arrival(?, ?, ?)",
            [$id, $shows ? now() : null, $job],
            false,
        );

        return $row === null ? null : (array) $row;
    }

    /**
     * @param  string  $sessionId
     * @param  string  $data
     */
    public function write($sessionId, $data): bool
    {
        [$content, $seen] = $this->stored[$sessionId] ?? [null, 0];
        $recent = $this->isRecent($sessionId);
        if ($content === $data && $recent) {
            return true;
        }
        $this->seen = $recent ? $seen : $this->currentTime();
        $this->stored[$sessionId] = [$data, $this->seen];

        return parent::write($sessionId, $data);
    }

    /** Whether somebody was seen with it within the minute, so that the browser need not be told anew. */
    public function isRecent(string $sessionId): bool
    {
        return abs($this->currentTime() - ($this->stored[$sessionId][1] ?? 0)) < self::SECONDS;
    }

    /**
     * @param  string  $data
     * @return array<string, mixed>
     */
    protected function getDefaultPayload($data): array
    {
        return ['last_activity' => $this->seen ?? $this->currentTime()] + parent::getDefaultPayload($data);
    }

    /** @param  object  $session */
    protected function expired($session): bool
    {
        return (int) ($session->last_activity ?? 0) < $this->currentTime() - 60 * $this->minutes;
    }

    /** @param  string  $sessionId */
    public function destroy($sessionId): bool
    {
        unset($this->stored[$sessionId]);

        return parent::destroy($sessionId);
    }
}
