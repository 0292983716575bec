@foreach (['seen', 'cause', 'fix', 'blames'] as $field)
@include('parts.error', ['field' => $field])
@endforeach
