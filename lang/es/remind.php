<?php

return [
    'title' => 'Recordatorios',
    'section' => 'Recordar a los estudiantes de este grupo',
    'own' => 'Recordarme las sesiones',
    'as_section' => 'como está en mis grupos',
    'choices' => [
        'none' => 'nunca',
        'evening' => 'la tarde anterior, por correo',
        'hours-2' => 'dos horas antes, por correo',
        'hours-1' => 'una hora antes, por correo',
        'calendar-60' => 'en mi calendario, una hora antes',
        'calendar-10' => 'en mi calendario, diez minutos antes',
    ],
    'keep' => 'Guardar',
    'kept' => 'Guardado.',
    'fault' => 'Elige un recordatorio de la lista.',
    'hint' => 'Cada estudiante puede cambiarlo en su página.',
    'calendar_hint' => 'Es el calendario de tu enlace secreto.',
    'console' => '{0} ningún recordatorio pendiente|{1} 1 recordatorio enviado|[2,*] :count recordatorios enviados',
];
