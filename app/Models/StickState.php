<?php

namespace App\Models;

use App\Devices\Stick\StickMark;
use Cobblestone\Media\Build\StickCondition;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What a stick of the register is worth now.
 *
 * @property string $slug
 * @property StickCondition $condition
 * @property array<string, mixed>|null $content
 * @property Carbon $updated_at
 */
final class StickState extends Record
{
    protected $table = 'stick_states';

    protected $primaryKey = 'slug';

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['condition' => StickCondition::class, 'content' => 'array'];
    }

    protected static function booted(): void
    {
        self::retrieved(static fn (self $state) => $state->heed());
    }

    public static function of(string $slug): self
    {
        return self::query()->find($slug) ?? self::unrecorded($slug);
    }

    /** A stick of which nothing is on record. */
    public static function unrecorded(string $slug): self
    {
        $state = new self(['slug' => $slug, 'condition' => StickCondition::Blank, 'content' => null]);
        $state->heed();

        return $state;
    }

    /** What stands on record of its contents under that name: title, label, built_at; empty where nothing does. */
    public function said(string $name): string
    {
        $said = $this->content[$name] ?? '';

        return is_string($said) ? $said : '';
    }

    /**
     * Becomes what is given, unless the stick was retired meanwhile: that is a person's word, and stays.
     *
     * @param  array<string, mixed>|null  $content
     * @return bool false where it was retired meanwhile
     */
    public static function become(string $slug, StickCondition $condition, ?array $content): bool
    {
        return DB::transaction(static function () use ($slug, $condition, $content): bool {
            DB::table('stick_states')->insertOrIgnore([
                'slug' => $slug,
                'condition' => StickCondition::Blank->value,
                'created_at' => now(),
                'updated_at' => now(),
            ]);
            $now = DB::table('stick_states')->where('slug', $slug)->lockForUpdate()->value('condition');
            if ($now === StickCondition::Retired->value) {
                return false;
            }

            return DB::table('stick_states')
                ->where('slug', $slug)
                ->update([
                    'condition' => $condition->value,
                    'content' => $content === null ? null : json_encode($content, JSON_INVALID_UTF8_SUBSTITUTE),
                    'updated_at' => now(),
                ]) === 1;
        });
    }

    /** What is being written, or broke off, is unfinished whatever the record says. */
    private function heed(): void
    {
        $slug = $this->getAttributes()['slug'] ?? null;
        if ($slug !== null && $this->condition !== StickCondition::Retired && StickMark::stands($slug)) {
            $this->condition = StickCondition::Unfinished;
        }
    }
}
