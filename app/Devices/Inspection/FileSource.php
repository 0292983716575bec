<?php

namespace App\Devices\Inspection;

use Cobblestone\Storage\Reading\ByteSource;
use RuntimeException;

/** A file or device opened for reading; counts what was really read of it. */
final class FileSource implements ByteSource
{
    /** @var resource */
    private $handle;

    private readonly int $size;

    private int $bytesRead = 0;

    /** @throws RuntimeException where it cannot be opened */
    public function __construct(public readonly string $path)
    {
        $handle = is_file($path) || is_link($path) || file_exists($path) ? @fopen($path, 'rb') : false;
        if ($handle === false || is_dir($path)) {
            throw new RuntimeException(
                basename($path).
                    ' cannot be opened for reading. Check that it is there and that Cobblestone may read it.',
            );
        }
        stream_set_read_buffer($handle, 0);
        $this->handle = $handle;
        fseek($handle, 0, SEEK_END);
        $this->size = max(0, (int) ftell($handle));
    }

    public function size(): int
    {
        return $this->size;
    }

    public function read(int $at, int $length): string
    {
        if ($at < 0 || $length < 1 || $at >= $this->size) {
            return '';
        }
        fseek($this->handle, $at);
        $bytes = '';
        while ($length > 0 && ! feof($this->handle)) {
            $more = fread($this->handle, max(1, $length));
            if ($more === false || $more === '') {
                break;
            }
            $bytes .= $more;
            $length -= strlen($more);
        }
        $this->bytesRead += strlen($bytes);

        return $bytes;
    }

    public function bytesRead(): int
    {
        return $this->bytesRead;
    }
}
