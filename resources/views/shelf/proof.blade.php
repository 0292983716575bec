@php($share = $file->bytes > 0 ? $file->hashed_bytes / $file->bytes : 0)
@if ($file->hash_state === 'running')@php($seconds = $file->hash_began_at === null ? 0 : max(0.5, $file->hash_began_at->diffInMilliseconds($file->updated_at) / 1000))
<progress max="100" value="{{ round(100 * $share) }}" aria-label="Hashed so far"></progress> <span class="fine mono">{{ round(100 * $share) }} % @if ($file->hashed_bytes > 0 && $seconds > 0) · {{ number_format($file->hashed_bytes / $seconds / 1e6, 0) }} MB/s · {{ \App\View\ShelfWords::left((int) ceil(($file->bytes - $file->hashed_bytes) * $seconds / $file->hashed_bytes)) }}@endif</span>
@elseif ($file->hash_state === 'waiting')<span class="fine">waits for its turn</span>
@elseif ($file->proof() === 'equal')<b class="holds">equal</b> <span class="fine">to {{ $file->published_by ?: 'the published one' }}</span>
@elseif ($file->proof() === 'different')<b class="bad">different</b> <span class="fine">from {{ $file->published_by ?: 'the published one' }}: do not use it</span>
@elseif ($file->proof() === 'none-published')<span class="fine"><span class="mono">{{ substr($file->sha256, 0, 12) }}…</span> · no published checksum</span>
@else<span class="fine">{{ $file->hash_state === 'stopped' ? 'stopped' : 'it changed while it was read' }}</span>@endif
