<x-app title="My sessions">
    <div class="phone">
        <p class="over-title mb-0">{{ $student->name() }} · {{ $zone->place() }}
            time{{ $school && $school->name !== $zone->name ? ', school is in ' . $school->place() : '' }}</p>
        <h1>Coming sessions</h1>
        @if ($student->role === Nomada\App\Models\Term\Role::Guardian)
            <p><a class="act main" href="{{ $student->childrenPage() }}">{{ __('presence.children.title') }}</a></p>
        @endif
        @if ($coming !== [])
            @php $n = $coming[0]; @endphp
            <section class="next-up" aria-label="Next">
                <div>{{ $n['day'] }}{{ $n['day'] === $zone->dateAt($now)->short() ? ', today' : '' }}</div>
                <div class="big">{{ $n['time'] }}–{{ $n['end'] }} {{ $n['name'] }}</div>
                <div class="quiet">{{ $n['topic'] ? $n['topic'] . ' · ' : '' }}{{ $n['teacher'] }}@if ($n['school'])
                        · {{ $n['school'] }}
                    @endif
                </div>
                @if ($n['state'] === 'cancelled')
                    <p class="bad mb-0">Cancelled: {{ $n['reason'] }}</p>
                @elseif (isset($links[$n['series']]) && $n['isHidden'])
                    <p class="quiet mb-0">The link appears here at {{ $zone->clock($n['doors']) }}.</p>
                @elseif (isset($links[$n['series']]))
                    <a class="act main"
                        href="{{ $links[$n['series']] }}">{{ $n['isOpen'] ? 'Come in' : 'To the door, open at ' . $zone->clock($n[
                            'doors']) }}</a>
                @else<p class="todo mb-0">You are not registered yet.
                        {{ in_array($n['series'], array_column($registrations, 'series'), true) ? 'Register below.'
                            : 'Your school does that.' }}
                    </p>
                @endif
            </section>
        @endif
        <ul class="coming">
            @forelse (array_slice($coming, 1) as $c)
                <li><span class="t">{{ $c['time'] }}–{{ $c['end'] }}<small
                            class="quiet">{{ $c['day'] }}</small></span><span class="n">{{ $c['name'] }}<small
                            class="quiet">{{ $c['topic'] ? $c['topic'] . ' · ' : '' }}{{ $c['teacher'] }}@if ($c['school'])
                                · {{ $c['school'] }}
                            @endif
                        </small>
                    </span>
                    @if ($c['state'] === 'cancelled')
                        <span class="bad">cancelled</span>
                    @elseif (isset($links[$c['series']]) && !$c['isHidden'])
                        <a href="{{ $links[$c['series']] }}"
                        aria-label="To the door of {{ $c['name'] }}, {{ $c['day'] }}">Door</a>@else<span></span>
                    @endif
                </li>
                @empty
                    @if ($coming === [])
                        <li class="d-block">
                            <div class="empty">
                                <h2>No sessions ahead</h2>When your school plans some for you, they are listed here.
                            </div>
                        </li>
                    @endif
                @endforelse
            </ul>
            @if ($rooms !== [])
                <h2 class="mt-4">Drop-in rooms</h2>
                <ul class="places">
                    @foreach ($rooms as $r)
                        <li><b>{{ $r['name'] }}</b><span class="{{ $r['isOpen'] ? 'ok' : 'quiet' }}">{{ $r['words'] }}</span><a
                                href="{{ $r['link'] }}" aria-label="Door of {{ $r['name'] }}">Door</a></li>
                    @endforeach
                </ul>
            @endif
            @if ($materials !== [])
                <h2 class="mt-4">{{ __('publishing.materials.title') }}</h2>
                <ul class="places">
                    @foreach ($materials as $one)
                        <li><b><a href="{{ $one->address }}" rel="noopener noreferrer">{{ $one->title }}</a></b>
                            <span class="quiet">{{ $one->section }}{{ $one->day === '' ? '' : ", $one->day" }}</span></li>
                    @endforeach
                </ul>
            @endif
            @if ($registrations !== [])
                <h2 class="mt-4">Registrations</h2>
                <ul class="places">
                    @foreach ($registrations as $r)
                        <li><b>{{ $r['name'] }}</b><span class="{{ $r['tone'] }}">{{ $r['words'] }}</span><a
                                href="{{ route('register', $r['series']) }}"
                                aria-label="Registration for {{ $r['name'] }}">{{ $r['act'] }}</a></li>
                    @endforeach
                </ul>
            @endif
            @if ($recordings !== [])
                <h2 class="mt-4">{{ __('recordings.mine') }}</h2>
                <ul class="places">
                    @foreach ($recordings as $r)
                        <li><b>{{ $r->name }}</b><span class="quiet">{{ $r->day->short() }}
                                {{ $r->topic === '' ? '' : "· $r->topic" }}</span><a href="{{ route('recording', $r->id) }}"
                                aria-label="{{ __('recordings.title', ['name' => $r->name]) }}, {{ $r->day->short() }}">{{ __(
                                    'presence.session.open') }}</a>
                        </li>
                    @endforeach
                </ul>
            @endif
            <h2 class="mt-4">{{ __('publishing.remind.title') }}</h2>
            @include('publishing.remind', [
                'to' => route('me.remind'),
                'label' => __('publishing.remind.own'),
                'choices' => Nomada\Core\Post\Reminder::cases(),
                'value' => $student->remind,
                'empty' => __('publishing.remind.as_section'),
            ])
            <p class="quiet small mb-0">{{ __('publishing.remind.calendar_hint') }}</p>
            <h2 class="mt-4">Where else to look</h2>
            <ul class="places">
                @if ($calendar !== null)
                    <li><b>My calendar</b><a href="{{ $calendar }}">Open</a></li>
                @endif
                @if ($post !== null)
                    <li><b>My post</b><a href="{{ $post }}">Open</a></li>
                @endif
                @foreach ($places as $p)
                    <li><b>{{ $p['name'] }}</b>
                        @if ($p['page'] !== null)
                            <a href="{{ $p['page'] }}" aria-label="Course page of {{ $p['name'] }}">Course page</a>
                            @endif @if ($p['stream'] !== null)
                                <a href="{{ $p['stream'] }}" aria-label="Class stream of {{ $p['name'] }}">Class stream</a>
                            @endif
                    </li>
                @endforeach
                <li><b>My calendar in another program</b><x-copy :text="$feed" /></li>
                @if ($student->role === Nomada\App\Models\Term\Role::Student)
                    <li><b>{{ __('presence.student.own') }}</b><a href="{{ route('attendance.own') }}">{{ __('presence.session.open') }}</a>
                    </li>
                @endif
                <li><b>A join code</b><a href="{{ route('join') }}">Type it in</a></li>
            </ul>
        </div>
    </x-app>
