<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Where somebody is signed in, and how that is ended at once. */
final class Sessions
{
    /**
     * @return Collection<int, object{key: string, user_id: int, address: string, program: string, seen: Carbon,
     *     here: bool}> newest first
     */
    public static function of(?int $user = null): Collection
    {
        $own = request()->hasSession() ? request()->session()->getId() : '';

        return DB::table('sessions')
            ->whereNotNull('user_id')
            ->when($user !== null, fn ($all) => $all->where('user_id', $user))
            ->where('last_activity', '>=', now()->subMinutes((int) config('session.lifetime', 120))->timestamp)
            ->orderByDesc('last_activity')
            ->limit(200)
            ->get()
            ->map(
                fn (object $row): object => (object) [
                    'key' => self::key($row->id),
                    'user_id' => (int) $row->user_id,
                    'address' => (string) $row->ip_address,
                    'program' => self::program((string) $row->user_agent),
                    'seen' => Carbon::createFromTimestamp((int) $row->last_activity),
                    'here' => $row->id === $own,
                ],
            );
    }

    /** Ends one by its key; false where there is none any more. */
    public static function end(int $user, string $key): bool
    {
        foreach (DB::table('sessions')->where('user_id', $user)->pluck('id') as $id) {
            if (hash_equals(self::key($id), $key)) {
                return DB::table('sessions')->where('id', $id)->delete() > 0;
            }
        }

        return false;
    }

    /** Ends all of a person, but the one that is kept. */
    public static function endAll(int $user, ?string $keep = null): int
    {
        return DB::table('sessions')
            ->where('user_id', $user)
            ->when($keep !== null, fn ($all) => $all->where('id', '!=', $keep))
            ->delete();
    }

    /** A session's own id would let whoever reads the page in as that person. */
    private static function key(string $id): string
    {
        return substr(hash_hmac('sha256', $id, (string) config('app.key')), 0, 24);
    }

    private static function program(string $agent): string
    {
        return mb_substr(mb_scrub($agent), 0, 90) ?: 'says nothing of itself';
    }
}
