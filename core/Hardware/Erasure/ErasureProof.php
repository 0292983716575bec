<?php

declare(strict_types=1);

namespace Cobblestone\Hardware\Erasure;

use Cobblestone\Text\Counted;

/** What was read back of an erased drive, against what stood there before (rules K3, L5). */
final readonly class ErasureProof
{
    private const UNREADABLE = 'unreadable';

    private const LEFT = 'left';

    private const OTHER = 'other';

    private const EMPTY = 'empty';

    /**
     * @param  int  $places  that were read back
     * @param  list<int>  $left  offsets where the same stands as before
     * @param  list<int>  $unreadable  offsets that could not be read, or not before where that counts
     * @param  list<int>  $other  offsets that hold neither nothing nor what was there
     */
    private function __construct(
        public ErasureWay $way,
        public int $places,
        public array $left,
        public array $unreadable,
        public array $other,
    ) {
    }

    /**
     * @param  array<int, string|null>  $before  offset => what stood there; null where it could not be read
     * @param  array<int, string|null>  $after
     */
    public static function of(ErasureWay $way, array $before, array $after): self
    {
        $found = [self::LEFT => [], self::UNREADABLE => [], self::OTHER => [], self::EMPTY => []];
        foreach ($after as $offset => $bytes) {
            $found[self::at($way, $before[$offset] ?? null, $bytes)][] = $offset;
        }

        return new self($way, count($after), $found[self::LEFT], $found[self::UNREADABLE], $found[self::OTHER]);
    }

    /**
     * A place that was empty before and is so now says nothing against it. Where only a key is gone, what stands there
     * now has to be compared: a place that was not readable before proves nothing.
     */
    private static function at(ErasureWay $way, ?string $before, ?string $after): string
    {
        return match (true) {
            $after === null => self::UNREADABLE,
            strspn($after, "\0") === strlen($after), strspn($after, "\xff") === strlen($after) => self::EMPTY,
            $after === $before => self::LEFT,
            $before === null && $way === ErasureWay::Crypto => self::UNREADABLE,
            default => self::OTHER,
        };
    }

    /** After a key is gone the cells hold anything but what was there; after the rest they hold nothing. */
    public function isErased(): bool
    {
        return $this->places > 0 && $this->left === [] && $this->unreadable === [] &&
            ($this->way === ErasureWay::Crypto || $this->other === []);
    }

    public function sentence(): string
    {
        if ($this->isErased()) {
            $read = 'Read back at '.Counted::of($this->places, 'place');

            return $this->way === ErasureWay::Crypto
                ? "{$read}: nothing of what stood there before is readable."
                : "{$read}: nothing stands there.";
        }
        $said = array_filter([
            $this->left === [] ? '' : self::places($this->left, 'hold').' what was there before, the first at byte '
                .number_format($this->left[0], 0, '.', ' '),
            $this->unreadable === [] ? '' : Counted::of(count($this->unreadable), 'place')
                .' cannot be read and compared',
            $this->other === [] || $this->way === ErasureWay::Crypto ? '' : self::places($this->other, 'hold')
                .' something',
        ]);

        return $this->places === 0
            ? 'Nothing was read back.'
            : 'Not erased. Of '.Counted::of($this->places, 'place').' read back, '.implode('; ', $said).'.';
    }

    /** @param  list<int>  $places */
    private static function places(array $places, string $verb): string
    {
        return Counted::of(count($places), 'place').' '.$verb.(count($places) === 1 ? 's' : '');
    }
}
