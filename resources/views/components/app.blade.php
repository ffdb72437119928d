@props(['title' => null])
@include('layouts.app', ['title' => $title, 'slot' => $slot, 'keys' => $keys ?? ''])
