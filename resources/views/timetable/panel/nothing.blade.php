{{-- A session that has begun, or is made up: nothing is left to do --}}
