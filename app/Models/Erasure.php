<?php

declare(strict_types=1);

namespace App\Models;

use App\Devices\Lease;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Hardware\Erasure\Certificate;
use Cobblestone\Hardware\Erasure\ErasureWay;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One erasure of a drive (rule L5).
 *
 * @property int $id
 * @property string $drive name on the rack; empty where it was destroyed by hand
 * @property string $title model, size and serial, as they were then
 * @property string $way
 * @property string $state queued, running, done, failed or cancelled
 * @property int $user_id
 * @property int $bytes
 * @property int $done_bytes
 * @property bool $cancel
 * @property string|null $fault
 * @property array<string, mixed>|null $certificate
 * @property Carbon|null $began_at
 * @property Carbon|null $ended_at
 * @property Carbon $created_at
 * @property-read User $user
 */
final class Erasure extends Record
{
    protected $table = 'erasures';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'certificate' => 'array',
            'cancel' => 'boolean',
            'began_at' => 'datetime',
            'ended_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function way(): ErasureWay
    {
        return ErasureWay::from($this->way);
    }

    public function isUnderWay(): bool
    {
        return in_array($this->state, ['queued', 'running'], true);
    }

    /** Without the serial: a page that asks for its end does not show it (rule K2). */
    public function named(): string
    {
        return (string) preg_replace('/, serial .*$/s', '', $this->title);
    }

    /** How it ended, or how it stands, in words. */
    public function ended(): string
    {
        return $this->state === 'done' ? 'erased, with a certificate' : $this->fault ?? $this->state;
    }

    /** The certificate; null where nothing was proven. */
    public function certificate(): ?Certificate
    {
        try {
            return $this->certificate === null ? null : Certificate::fromFields(Fields::of($this->certificate));
        } catch (FieldFault) {
            return null;
        }
    }

    /** Ends in words what a dead worker left behind; what had begun is never begun twice. */
    public function endIfDead(): void
    {
        $lease = $this->state === 'running' ? Lease::take("erase-{$this->id}") : null;
        if ($lease !== null) {
            $this->update([
                'state' => 'failed',
                'ended_at' => now(),
                'fault' => 'It broke off: what worked on it has ended. The drive is not erased; begin once more.',
            ]);
            fclose($lease);
        }
    }
}
