<nav class="sub-tabs" aria-label="Parts of Install">
@foreach ([
    'drivers' => 'Drivers', 'partitions' => 'Partitions', 'answers' => 'First start', 'frames' => 'Frames',
    'battery' => 'Battery',
] as $id => $name)
<a href="/jobs/{{ $job->id }}/{{ $id }}" @if ($here === $id) aria-current="page" class="here"
 @endif>{{ $name }}</a>
@endforeach
</nav>
