@include('errors.layout')
