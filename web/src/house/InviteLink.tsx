import type { ReactNode } from "react"

/** A link that lets somebody in, for a camera and for a hand. */
export function InviteLink({ link, qr, children }: { link: string; qr: string; children: ReactNode }) {
  return (
    <>
      <p>{children}</p>
      <img
        src={`data:image/svg+xml;utf8,${encodeURIComponent(qr)}`}
        alt="The link as a QR code"
        className="mx-auto my-3 h-64 w-64"
      />
      <p className="text-sm break-all">
        <a className="underline" href={link}>
          {link}
        </a>
      </p>
    </>
  )
}
