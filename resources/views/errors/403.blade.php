@extends('errors.frame')
@section('what', 'Not for this role')
@section('next'){{ $exception->getMessage() ?: 'This place is not open to your role.' }}@endsection
