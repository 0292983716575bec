<?php

declare(strict_types=1);

namespace App\View;

use App\Models\DriverLaying;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Text\Counted;

/** How far the unpacking of packages for the stick is, or what came of it last. */
final readonly class LayingLine
{
    private function __construct(private DriverLaying $laying, private string $folder, public bool $isUnderWay)
    {
    }

    /** @param  string  $folder  in which they lie */
    public static function of(?DriverLaying $laying, string $folder): ?self
    {
        return $laying === null ? null : new self($laying, $folder, $laying->isUnderWay());
    }

    /** Of a thousand; null where it is not known yet. */
    public function thousandths(): ?int
    {
        return $this->laying->bytes === 0
            ? null
            : min(1000, intdiv(1000 * $this->laying->done_bytes, $this->laying->bytes));
    }

    public function words(): string
    {
        return match (true) {
            $this->isUnderWay => $this->underWay(),
            $this->laying->state === 'done' => $this->done(),
            $this->laying->state === 'stopped' => "Stopped: the folder \"{$this->folder}\" is as it was before.",
            $this->laying->state === 'failed' => "Nothing was changed. {$this->laying->fault}",
            default => 'The unpacking broke off: this computer or its worker stopped. Nothing was changed; begin '
                .'again.',
        };
    }

    private function underWay(): string
    {
        if ($this->laying->state === 'waiting') {
            return 'Waits for its turn.';
        }
        if ($this->laying->bytes === 0) {
            return trim("{$this->laying->package}: its checksum is compared and its files are listed.", ': ');
        }
        $done = Bytes::of($this->laying->done_bytes)->decimal();
        $all = Bytes::of($this->laying->bytes)->decimal();

        return "{$this->laying->package}: {$done} of {$all}";
    }

    private function done(): string
    {
        $laid = $this->laying->result ?? ['files' => 0, 'bytes' => 0, 'missing' => []];
        $missing = $laid['missing'] === []
            ? ''
            : ' Not on this shelf as archives, so not in it: '.implode(', ', $laid['missing']).'.';

        return $laid['files'] === 0
            ? "Nothing was unpacked.{$missing}"
            : Counted::of($laid['files'], 'file').' of '.Bytes::of($laid['bytes'])->decimal()
                ." lie in the folder \"{$this->folder}\": choose it where the stick is made.{$missing}";
    }

    /** How the words stand there: as figures, as what went well, as what did not. */
    public function mood(): string
    {
        return match (true) {
            $this->isUnderWay => 'mono figures',
            $this->laying->state === 'done' && ($this->laying->result['files'] ?? 0) > 0 => 'saved',
            $this->laying->state === 'stopped' => 'fine',
            default => 'wrong',
        };
    }
}
