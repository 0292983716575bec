<?php

namespace App\Models;

use Cobblestone\Media\Inspection\ImageReport;
use Illuminate\Support\Carbon;

/**
 * An image file on the shelf.
 *
 * @property int $id
 * @property string $name
 * @property int $bytes
 * @property int $changed_at
 * @property bool $here
 * @property array<string, mixed>|null $report
 * @property string|null $sha256
 * @property string $hash_state
 * @property int $hashed_bytes
 * @property Carbon|null $hash_began_at
 * @property string|null $published_sha256
 * @property string|null $published_by
 * @property string|null $slug
 * @property array<string, string|null> $about
 * @property Carbon $created_at
 * @property Carbon $updated_at
 */
final class ShelfFile extends Record
{
    /** What people know of an image and a file does not say. */
    public const ABOUT = [
        'line' => 'line',
        'version' => 'version',
        'edition' => 'edition',
        'language' => 'language',
        'architecture' => 'architecture',
        'channel' => 'channel',
        'source' => 'fetched from',
        'as_of' => 'as of',
        'origin' => 'third-party or modified; empty: the publisher\'s',
    ];

    protected $table = 'shelf_files';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['report' => 'array', 'about' => 'array', 'here' => 'boolean', 'hash_began_at' => 'datetime'];
    }

    public function path(): string
    {
        return config('cobblestone.shelf').'/'.$this->name;
    }

    public function inspected(): ?ImageReport
    {
        return $this->report === null ? null : ImageReport::fromArray($this->report);
    }

    /** The name people know it by. */
    public function title(): string
    {
        return trim("{$this->said('line')} {$this->said('version')} {$this->said('edition')}") ?: $this->name;
    }

    /** What people say of one matter of it, see ABOUT; empty where nobody has said. */
    public function said(string $matter): string
    {
        return $this->about[$matter] ?? '';
    }

    /** All that people say of it, in one line; empty where nobody has said anything. */
    public function told(): string
    {
        return implode(' · ', array_filter(array_map($this->said(...), array_keys($this->about))));
    }

    public function isBeingHashed(): bool
    {
        return in_array($this->hash_state, ['waiting', 'running'], true);
    }

    /** What a form about it was made from; any change of what people say of it gives another. */
    public function version(): string
    {
        return hash(
            'sha256',
            json_encode([$this->about, $this->published_sha256, $this->published_by], JSON_THROW_ON_ERROR),
        );
    }

    /** equal, different, none-published, not-hashed */
    public function proof(): string
    {
        return match (true) {
            $this->sha256 === null => 'not-hashed',
            $this->published_sha256 === null => 'none-published',
            default => hash_equals($this->published_sha256, $this->sha256) ? 'equal' : 'different',
        };
    }
}
